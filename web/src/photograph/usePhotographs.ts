import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';

export interface Taking {
  take: (files: readonly File[]) => Promise<void>;
  /** How many pictures of this case the server does not have yet. */
  waiting: number;
}

/**
 * Takes pictures for a part of a place. They belong there from the moment they were taken: they wait in the outbox with their slot,
 * wherever the person walks meanwhile.
 */
export function usePhotographs(place: string, part: string, state: 'as_found' | 'after_cleaning'): Taking {
  const { view, outbox, recordPicture } = useBench();
  const label = `${placeLabel(view, place)} ${view.parts.find((one) => one.code === part)?.label ?? part}`;
  return {
    take: async (files) => {
      for (const file of files) {
        const picture = { bytes: await file.arrayBuffer(), name: file.name, type: file.type };
        recordPicture({ place, part }, picture, { caption: label, state }, `photograph of ${label}`);
      }
    },
    waiting: outbox.outgoing.filter((one) => one.withPicture === true && one.state === 'waiting').length,
  };
}
