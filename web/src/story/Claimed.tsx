import { Segmented } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { ClaimCell } from './ClaimCell';
import { ClaimedParts } from './ClaimedParts';

/** Of which spring a claim is: many specifications state the load of outer and inner together. */
const COILS = ['outer', 'inner', 'pair'] as const;
type ClaimedCoil = (typeof COILS)[number];

/** The build as claimed: the quantities of the sheets, for all intakes and all exhausts. */
export function Claimed() {
  const catalogue = useCatalogue();
  const { slots } = useBench();
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
      <table className="claimed">
        <thead>
          <tr>
            <th>{words.story.claimFor}</th>
            <th>{words.story.claimsOf.I}</th>
            <th>{words.story.claimsOf.E}</th>
          </tr>
        </thead>
        <tbody>
          {columns.map((column) => (
            <tr key={column.code}>
              <th scope="row">{column.label}</th>
              <td>
                <ClaimCell key={coil} column={column} place="kind-I" coil={coil} />
              </td>
              <td>
                <ClaimCell key={coil} column={column} place="kind-E" coil={coil} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h3>{words.story.partsClaimed}</h3>
      <ClaimedParts />
    </>
  );
}
