import { useQueryClient } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useEffect, useRef } from 'react';
import type { RankingView } from '../shared/api';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { ledgerOf } from '../shared/queries';

export interface Ruled {
  cause: string;
  why: string;
}

interface Props {
  caseId: string;
  list: readonly Ruled[];
  /** What can be ruled out, likeliest first. */
  causes: RankingView['causes'];
  name: (code: string) => string;
  onChange: (to: (list: readonly Ruled[]) => Ruled[]) => void;
}

/** How much of what speaks against a cause is written down for a start. */
const LINES = 2;

/** What it was not, and why: begun with what speaks most against it, for the analyst to put into words. */
export function RuledOut({ caseId, list, causes, name, onChange }: Props) {
  const queries = useQueryClient();
  const isShown = useRef(true);
  useEffect(() => {
    isShown.current = true;
    return () => {
      isShown.current = false;
    };
  }, []);
  const write = (cause: string, why: (before: string) => string): void =>
    onChange((now) => now.map((one) => (one.cause === cause ? { ...one, why: why(one.why) } : one)));
  const add = async (cause: string): Promise<void> => {
    onChange((now) => [...now, { cause, why: '' }]);
    const ledger = await queries.query(ledgerOf(caseId, cause, null)).catch(() => null);
    const against = (ledger?.against ?? []).slice(0, LINES).map((line) => line.words);
    // What was written while this was on its way stays as it is.
    if (isShown.current && against.length > 0) write(cause, (before) => (before === '' ? against.join('; ') : before));
  };
  const left = causes.filter((one) => !list.some((ruled) => ruled.cause === one.code));
  return (
    <section className="ruled-out" aria-label={words.cause.ruledOut}>
      <span>{words.cause.ruledOut}</span>
      <ul>
        {list.map((one) => (
          <li key={one.cause}>
            <b>{name(one.cause)}</b>
            <Button
              size="small"
              type="link"
              aria-label={words.cause.notRuledOut(name(one.cause))}
              onClick={() => onChange((now) => now.filter((other) => other.cause !== one.cause))}
            >
              {words.chain.takeBack}
            </Button>
            <Input.TextArea
              value={one.why}
              autoSize={{ minRows: 1, maxRows: 6 }}
              maxLength={8000}
              aria-label={words.cause.whyNot(name(one.cause))}
              placeholder={words.cause.whyNot(name(one.cause))}
              onChange={(event) => write(one.cause, () => event.target.value)}
            />
          </li>
        ))}
      </ul>
      <Choice
        label={words.cause.ruleOut}
        value={null}
        width="100%"
        placeholder={words.cause.ruleOut}
        isSearched
        onChange={(cause: string) => void add(cause)}
        options={left.map((one) => ({ value: one.code, label: one.label }))}
      />
    </section>
  );
}
