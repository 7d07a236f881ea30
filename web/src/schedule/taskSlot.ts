import type { Schemas } from '../shared/api';
import type { SlotAddress } from '../entry/slots';

export type Task = Schemas['ScheduledTaskView'];

export const taskSlot = (id: string): SlotAddress => ({ place: 'engine', part: 'schedule', item: 'task', index: id });
