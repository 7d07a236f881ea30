import { useQueryClient } from '@tanstack/react-query';
import { Button, Input } from 'antd';
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
  onChange: (list: Ruled[]) => void;
}

/** How much of what speaks against a cause is written down for a start. */
const LINES = 2;

/** What it was not, and why: begun with what speaks most against it, for the analyst to put into words. */
export function RuledOut({ caseId, list, causes, name, onChange }: Props) {
  const queries = useQueryClient();
  const add = async (cause: string): Promise<void> => {
    const ledger = await queries.query(ledgerOf(caseId, cause, null)).catch(() => null);
    const against = (ledger?.against ?? []).slice(0, LINES).map((line) => line.words);
    onChange([...list, { cause, why: against.join('; ') }]);
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
              onClick={() => onChange(list.filter((other) => other !== one))}
            >
              {words.chain.takeBack}
            </Button>
            <Input.TextArea
              value={one.why}
              autoSize={{ minRows: 1, maxRows: 6 }}
              maxLength={8000}
              aria-label={words.cause.whyNot(name(one.cause))}
              placeholder={words.cause.whyNot(name(one.cause))}
              onChange={(event) => onChange(list.map((other) => (other === one ? { ...one, why: event.target.value } : other)))}
            />
          </li>
        ))}
      </ul>
      <Choice
        label={words.cause.ruleOut}
        value={null}
        width="100%"
        placeholder={words.cause.ruleOut}
        onChange={(cause: string) => void add(cause)}
        options={left.map((one) => ({ value: one.code, label: one.label }))}
      />
    </section>
  );
}
