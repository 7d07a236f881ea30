import { Button } from 'antd';
import { Link } from 'react-router';
import { Keycap } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { recordedAt, useNextChecks } from '../shared/queries';
import { inList, useRoving } from '../shared/useRoving';

type Outlook = Schemas['OutlookView'];
type NextCheck = Schemas['NextCheckView'];

const outlook = (one: Outlook): string => `${one.words}, ${Math.round(100 * one.probability)} %`;

/** Checks not made yet, with what either result would do: what would change one's mind. One key records a result that needs no figure. */
export function NextChecks({ caseId }: { caseId: string }) {
  const { recordAll } = useBench();
  const checks = useNextChecks(caseId).data?.checks;
  const roving = useRoving<HTMLOListElement>(inList(checks?.length ?? 0));
  const record = (one: NextCheck, isFound: boolean): void =>
    recordAll(
      (isFound ? one.ifFound : one.ifClear).map(({ place, part, item, severity }) => ({
        kind: 'finding',
        slot: { place, part, item },
        data: { severity },
      })),
      isFound ? words.cause.wasFound(one.sign, one.where) : words.cause.wasClear(one.check.label, one.where),
    );
  const under = ({ target }: Event): NextCheck | undefined =>
    target instanceof Element ? checks?.[Number(target.closest('[data-roving]')?.getAttribute('data-roving') ?? NaN)] : undefined;
  const key = (shown: string, isFound: boolean) => ({
    shown,
    does: isFound ? words.keysDo.checkFound : words.keysDo.checkClear,
    on: new RegExp(`^${shown}$`, 'i'),
    when: (event: KeyboardEvent) => (under(event)?.[isFound ? 'ifFound' : 'ifClear'].length ?? 0) > 0,
    run: (event: KeyboardEvent) => {
      const one = under(event);
      if (one !== undefined) record(one, isFound);
    },
  });
  const onKeys = useKeys([key('F', true), key('N', false)]);
  if (checks === undefined) return null;
  return (
    <section className="next-checks" aria-label={words.cause.nextChecks}>
      <h3>{words.cause.nextChecks}</h3>
      <p className="note">{checks.length === 0 ? words.cause.noCheck : words.cause.nextChecksWhat}</p>
      <ol
        ref={roving.ref}
        onKeyDown={(pressed) => {
          onKeys(pressed);
          roving.onKeyDown(pressed);
        }}
      >
        {checks.map((one, i) => (
          <li key={one.check.code} {...roving.item(i)} aria-label={one.check.label}>
            <span>
              <b>{one.check.label}</b>
              {one.where !== '' && words.cause.at(one.where)} <Link to={recordedAt(caseId, one)}>{words.cause.recordIt(one.step)}</Link>
              {one.check.reading !== '' && <small className="note">{one.check.reading}</small>}
              {one.check.destroys.length > 0 && <small className="note">{words.network.destroys(one.check.destroys)}</small>}
              {one.check.caution !== '' && <small className="wrong">{one.check.caution}</small>}
            </span>
            <span className="figures">{words.cause.minutes(one.check.minutes, one.check.days)}</span>
            <span className="outlooks">
              {words.cause.ifFound(one.sign, outlook(one.found))}
              {one.ifFound.length > 0 && (
                <Button size="small" tabIndex={-1} onClick={() => record(one, true)}>
                  {words.cause.found} <Keycap>F</Keycap>
                </Button>
              )}
              <br />
              {words.cause.ifClear(outlook(one.clear))}
              {one.ifClear.length > 0 && (
                <Button size="small" tabIndex={-1} onClick={() => record(one, false)}>
                  {words.cause.nothing} <Keycap>N</Keycap>
                </Button>
              )}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
