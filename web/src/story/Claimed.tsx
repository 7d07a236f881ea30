import { Segmented } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { ClaimCell } from '../sheet/ClaimCell';
import { ClaimedParts } from './ClaimedParts';
import { MakersLimits } from './MakersLimits';
import { SpringFromLibrary } from './SpringFromLibrary';

/** Of which spring a claim is: many specifications state the load of outer and inner together. */
const COILS = ['outer', 'inner', 'pair'] as const;
type ClaimedCoil = (typeof COILS)[number];

/** The build as claimed: the quantities of the sheets, for all intakes and all exhausts. */
export function Claimed() {
  const catalogue = useCatalogue();
  const { view, slots } = useBench();
  const [scope, setScope] = useState('all');
  const banks = [...new Set(view.stations.map((one) => one.cylinder.charAt(0)))];
  const places =
    scope === 'all' || banks.includes(scope)
      ? (['I', 'E'] as const).map((kind) => ({
          place: scope === 'all' ? `kind-${kind}` : `${scope}-kind-${kind}`,
          label: scope === 'all' ? words.story.claimsOf[kind] : words.story.claimsOfBank(scope, kind),
        }))
      : [{ place: scope, label: words.place.station(view.stations.find((one) => one.code === scope)?.label ?? scope) }];
  const [coil, setCoil] = useState<ClaimedCoil>(() => (slots.standing('claim').some((one) => one.index === 'pair') ? 'pair' : 'outer'));
  const columns = (catalogue.data?.columns ?? []).filter(
    (column) => column.claimable && column.sheet !== 'build' && (coil !== 'pair' || !column.byCoil || column.ofPair),
  );
  return (
    <>
      <p className="note">{words.story.claimedHint}</p>
      <div className="claimed-coil">
        {words.story.springsClaimed}{' '}
        <Segmented<ClaimedCoil>
          value={coil}
          onChange={setCoil}
          aria-label={words.story.springsClaimed}
          options={COILS.map((value) => ({ value, label: words.story.coils[value] }))}
        />
      </div>
      <div className="claimed-coil">
        {words.story.claimedAt}{' '}
        <Choice
          value={scope}
          label={words.story.claimedAt}
          width={240}
          onChange={setScope}
          options={[
            { value: 'all', label: words.story.scope.all },
            ...banks.map((bank) => ({ value: bank, label: words.story.scope.bank(bank) })),
            ...view.stations.map((one) => ({ value: one.code, label: words.place.station(one.label) })),
          ]}
        />
      </div>
      <table className="claimed">
        <thead>
          <tr>
            <th>{words.story.claimFor}</th>
            {places.map((one) => (
              <th key={one.place}>{one.label}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {columns.map((column) => (
            <tr key={column.code}>
              <th scope="row">{column.label}</th>
              {places.map((one) => (
                <td key={one.place}>
                  <ClaimCell key={coil} column={column} place={one.place} placeName={one.label} coil={coil} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <SpringFromLibrary places={places} />
      <MakersLimits places={places} />
      <h3>{words.story.partsClaimed}</h3>
      <ClaimedParts />
    </>
  );
}
