import { Button, Input } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { Choice } from '../shared/Choice';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { useCatalogue, useNetwork, useShelf, type Network as Whole } from '../shared/queries';
import { say } from '../shared/saying';
import { Labelled } from './fields';
import { History } from './Item';
import { useKeep } from './useShelf';

type Node = Whole['nodes'][number];
type Lead = Whole['links'][number];

/** A sign can have the code of a cause: what stands in the address says which of them it is. */
const addressOf = (node: Node): string => `${node.is}-${node.code}`;
const atAddress = (network: Whole | undefined, of: string | null): Node | undefined => network?.nodes.find((one) => addressOf(one) === of);
/** What is at the end of a link: it comes from no sign and leads to no cause. */
const endOf = (network: Whole, lead: Lead, end: 'from' | 'to'): Node | undefined =>
  network.nodes.find((one) => one.code === lead[end] && one.is !== (end === 'from' ? 'sign' : 'cause'));

const SECTIONS = ['cause', 'mechanism', 'sign'] as const;

/** Causes, mechanisms and signs by name, those with the sought words in any of what they are called. */
export function NetworkList({ sought, open }: { sought: string; open: string | null }) {
  const network = useNetwork();
  const asked = sought.trim().toLowerCase();
  const found = (network.data?.nodes ?? []).filter((one) => [one.name, ...one.words].some((name) => name.toLowerCase().includes(asked)));
  const shops = new Set((network.data?.links ?? []).filter((one) => one.isShops).map((one) => one.to));
  return (
    <>
      <ul aria-label={words.library.shelves.links}>
        {SECTIONS.flatMap((section) => {
          const nodes = found.filter((one) => one.is === section).sort((one, other) => one.name.localeCompare(other.name));
          return nodes.length === 0
            ? []
            : [
                <li key={section} className="section">
                  {words.network.sections[section]} <small className="note">{nodes.length}</small>
                </li>,
                ...nodes.map((one) => (
                  <li key={addressOf(one)}>
                    <Link to={`?of=${addressOf(one)}`} aria-current={addressOf(one) === open}>
                      <span>{one.name}</span> {one.is !== 'cause' && shops.has(one.code) && <em>{words.library.yours}</em>}
                    </Link>
                  </li>
                )),
              ];
        })}
      </ul>
      {network.isSuccess && found.length === 0 && <p className="note">{words.library.nothing.links}</p>}
      {network.error !== null && (
        <p className="wrong" role="alert">
          {failureWords(network.error)}
        </p>
      )}
    </>
  );
}

/** One of the network both ways: what it points to, and what it would leave behind. */
export function NetworkNode({ of }: { of: string }) {
  const network = useNetwork().data;
  const node = atAddress(network, of);
  if (network === undefined || node === undefined) return null;
  const byStrength = (one: Lead, other: Lead): number => shareOf(network, other.word) - shareOf(network, one.word);
  return (
    <section className="sheet shelved network" aria-label={node.name}>
      <h2>{node.name}</h2>
      <p className="quiet">{[words.network.is[node.is], node.group].filter(Boolean).join(', ')}</p>
      {node.about !== '' && <p>{node.about}</p>}
      {node.is === 'sign' && <HowToSee code={node.code} checks={network.checks.filter((one) => one.signs.includes(node.code))} />}
      {node.is !== 'cause' && (
        <Leads
          title={node.is === 'sign' ? words.network.pointsTo : words.network.comesFrom}
          leads={network.links.filter((one) => one.to === node.code).sort(byStrength)}
          end="from"
          network={network}
        />
      )}
      {node.is !== 'sign' && (
        <Leads
          title={words.network.leaves}
          leads={network.links.filter((one) => one.from === node.code).sort(byStrength)}
          end="to"
          network={network}
        />
      )}
    </section>
  );
}

const shareOf = (network: Whole, word: string): number => network.strengths.find((one) => one.word === word)?.share ?? 0;

/** How a sign is looked for, and what it is easily taken for. */
function HowToSee({ code, checks }: { code: string; checks: Whole['checks'] }) {
  const sign = useCatalogue().data?.signs.find((one) => one.code === code);
  if (sign === undefined) return null;
  return (
    <dl className="how-to-see">
      <dt>{words.network.photograph}</dt>
      <dd>{sign.photograph}</dd>
      <dt>{words.network.lookAlike}</dt>
      <dd>{sign.lookAlike}</dd>
      {checks.length > 0 && <dt>{words.network.toldBy}</dt>}
      {checks.map((one) => (
        <dd key={one.code}>
          {one.label}, {words.network.takes(one.minutes, one.site, one.days)}.
          {one.destroys.length > 0 && <span className="note"> {words.network.destroys(one.destroys)}</span>}
          {one.caution !== '' && <span className="wrong"> {one.caution}</span>}
        </dd>
      ))}
    </dl>
  );
}

interface LeadsProps {
  title: string;
  leads: readonly Lead[];
  /** The end that is told: the other one is what is open. */
  end: 'from' | 'to';
  network: Whole;
}

function Leads({ title, leads, end, network }: LeadsProps) {
  const [changing, change] = useState<string | null>(null);
  const nameOf = (lead: Lead, which: 'from' | 'to'): string => endOf(network, lead, which)?.name ?? lead[which];
  return (
    <>
      <h3>{title}</h3>
      {leads.length === 0 && <p className="note">{words.network.nothing}</p>}
      <ul className="leads">
        {leads.map((lead) => {
          const other = endOf(network, lead, end);
          return (
            <li key={lead.code}>
              <span className="lead-name">
                {other === undefined ? lead[end] : <Link to={`?of=${addressOf(other)}`}>{other.name}</Link>}
                {lead.when !== '' && <span className="note"> {lead.when}</span>}
                {end === 'to' && other?.is === 'mechanism' && <small className="note"> {words.network.is.mechanism}</small>}
                {end === 'from' && other?.is === 'mechanism' && (
                  <small className="note behind">{words.network.behind(rootsOf(network, other.code))}</small>
                )}
              </span>
              <b>{lead.word}</b>
              <span className="lead-reason">
                {lead.reason}{' '}
                <small className="note">
                  {lead.isShops ? words.network.shops(lead.shippedWord) : (words.trace.marks[lead.mark] ?? lead.mark)}
                </small>
              </span>
              <button
                type="button"
                className="more"
                aria-expanded={changing === lead.code}
                aria-label={words.network.changeWhat(nameOf(lead, 'from'), nameOf(lead, 'to'))}
                onClick={() => change(changing === lead.code ? null : lead.code)}
              >
                {words.network.change}
              </button>
              {changing === lead.code && (
                <Strength
                  lead={lead}
                  name={`${nameOf(lead, 'from')} → ${nameOf(lead, 'to')}`.slice(0, 120)}
                  strengths={network.strengths}
                  onDone={() => change(null)}
                />
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}

/** Names of what leads to a mechanism, strongest first. */
const rootsOf = (network: Whole, mechanism: string): string[] =>
  network.links
    .filter((one) => one.to === mechanism)
    .sort((one, other) => shareOf(network, other.word) - shareOf(network, one.word))
    .map((one) => endOf(network, one, 'from')?.name ?? one.from);

interface StrengthProps {
  lead: Lead;
  name: string;
  strengths: Whole['strengths'];
  onDone: () => void;
}

/** How often the shop finds it so: its word goes before the one that came with the program, and judges every open case. */
function Strength({ lead, name, strengths, onDone }: StrengthProps) {
  const keep = useKeep('links');
  const own = useShelf('links').data?.find((one) => one.code === lead.code);
  const [word, setWord] = useState(lead.word);
  const [source, setSource] = useState(lead.isShops ? lead.reason : '');
  const put = (content: Record<string, unknown> | null): void =>
    keep.mutate(
      { code: lead.code, name, content, version: own?.version ?? 0 },
      {
        onSuccess: () => {
          say(words.library.kept(name));
          onDone();
        },
      },
    );
  return (
    <form
      className="strength"
      onSubmit={(event) => {
        event.preventDefault();
        put({ word, mark: 'own', source: source.trim() });
      }}
    >
      <Labelled label={words.network.howOften}>
        <Choice
          value={word}
          label={words.network.howOften}
          width="100%"
          onChange={setWord}
          options={strengths.map((one) => ({ value: one.word, label: words.network.strength(one.word, one.share) }))}
        />
      </Labelled>
      <Input.TextArea
        value={source}
        aria-label={words.network.source}
        placeholder={words.network.source}
        maxLength={1000}
        autoSize={{ minRows: 2 }}
        onChange={(event) => setSource(event.target.value)}
      />
      {keep.error !== null && (
        <p className="wrong" role="alert">
          {failureWords(keep.error)}
        </p>
      )}
      <div className="acts-row">
        <Button type="primary" htmlType="submit" disabled={source.trim() === '' || (word === lead.word && source.trim() === lead.reason)}>
          {words.library.keep}
        </Button>
        {lead.isShops && <Button onClick={() => put(null)}>{words.network.asShipped(lead.shippedWord)}</Button>}
      </div>
      {own !== undefined && <History item={own} />}
    </form>
  );
}
