/** Where an entry stands. */
export interface SlotAddress {
  place: string;
  part: string;
  item: string;
  index?: string | null;
}

export const slotKey = (slot: SlotAddress): string => [slot.place, slot.part, slot.item, slot.index ?? ''].join('/');
