import { Tag } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import type { CaseView } from '../shared/api';
import { words } from '../shared/messages';

export type Site = 'station' | 'cylinder' | 'engine';
export const SECTIONS = ['look', 'plan', 'pieces', 'photographs'] as const;
type Section = (typeof SECTIONS)[number];

interface Props {
  station: CaseView['stations'][number];
  site: Site;
  onSite: (site: Site) => void;
  section: Section;
  onSection: (section: Section) => void;
}

/** Where the hand is, what is done there, and whether the station, its cylinder or the engine is looked at. */
export function StationHead({ station, site, onSite, section, onSection }: Props) {
  const { view } = useBench();
  const number = view.plan.bores.find((one) => one.cylinder === station.cylinder)?.number ?? '';
  const sites: Record<Site, string> = {
    station: words.place.station(station.label),
    cylinder: words.place.cylinder(number),
    engine: words.place.engine,
  };
  const tag = { station: station.label, cylinder: words.place.cylinderShort(number), engine: words.place.engine }[site];
  return (
    <div className="station-head">
      <Tag label={tag} large lead={station.failed && site === 'station'} />
      <div>
        <h2>{words.place.head(number, station.kind)}</h2>
        <span className="quiet">{words.place.where(station.cylinder)}</span>
      </div>
      <div className="joined sites modes" role="group" aria-label={words.teardown.whatToDo}>
        {SECTIONS.map((one) => (
          <button key={one} type="button" aria-pressed={one === section} onClick={() => onSection(one)}>
            {words.teardown.modes[one]}
          </button>
        ))}
      </div>
      {section === 'look' && (
        <div className="joined sites" role="group" aria-label={words.teardown.where}>
          {(['station', 'cylinder', 'engine'] as const).map((one) => (
            <button key={one} type="button" aria-pressed={one === site} onClick={() => onSite(one)}>
              {sites[one]}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
