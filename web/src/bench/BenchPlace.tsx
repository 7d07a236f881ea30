import { useState } from 'react';
import { Overlay } from '../draw/Overlay';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/Chosen';
import { useSection } from '../frame/useSection';
import type { Schemas } from '../shared/api';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { useCatalogue, useSheet, useSheets } from '../shared/queries';
import { Remarks } from '../sheet/Remarks';
import type { SheetLayout } from '../sheet/cells';
import { Sheet } from '../sheet/Sheet';
import { ordersOf, useInOrder, type RowOrder } from './rowOrder';
import { MetElsewhere } from '../entry/PartTag';
import { AddLoose, StandsAt, useLooseRows } from './LooseRows';
import { Schools } from './Schools';
import { Swept } from './Swept';
import { useSettings } from './useSettings';

type Direction = 'down' | 'across';

/** Curves of the tester stand beside the sheets, under a key that none of them has. */
const SWEPT = 'swept';

/** Step 4: the measurement sheets. Rows are stations, columns are readings; margins appear as a row fills. */
export default function BenchPlace() {
  const { view } = useBench();
  const catalogue = useCatalogue();
  const { settings, change, problem } = useSettings();
  const layouts = useSheets(view.id);
  const [chosen, choose] = useChosen();
  const [directions, setDirections] = useState<Record<string, Direction>>({});
  const pages = (layouts.data ?? [])
    .filter((layout) => layout.step === 'bench')
    .flatMap((layout) =>
      (layout.faces.length === 0 ? [{ code: '', label: '' }] : layout.faces).map((face) => ({
        key: `${layout.code}.${face.code}`,
        label: face.label === '' ? layout.title : `${layout.title}, ${face.label}`,
        layout,
        face: face.code,
      })),
    );
  const [open, pick] = useSection(pages.length === 0 ? [''] : [...pages.map((one) => one.key), SWEPT]);
  const page = pages.find((one) => one.key === open);
  const [order, setOrder] = useState<RowOrder>('station');
  const orders = page === undefined ? [] : ordersOf(view, page.layout);
  const inOrder = useInOrder(view, page?.layout, orders.includes(order) ? order : 'station');
  const told = useSheet(view.id, page?.layout.code);
  if (layouts.data === undefined) return <div className="room" />;
  const sheets = (
    <>
      <h2>{words.bench.sheet}</h2>
      <Choice
        value={open}
        label={words.bench.sheet}
        onChange={pick}
        width={210}
        options={[
          ...pages.map((one) => ({ value: one.key, label: one.label, title: one.label })),
          { value: SWEPT, label: words.swept.title },
        ]}
      />
    </>
  );
  if (open === SWEPT)
    return (
      <div className="room">
        <PlanSide chosen={chosen} onChoose={choose} first="seatLoad" />
        <div className="bench-sheet in-swept">
          <div className="tool-row">{sheets}</div>
          <Swept />
        </div>
      </div>
    );
  if (page === undefined || inOrder === undefined) return <div className="room" />;
  const school = catalogue.data?.schools.find((one) => one.code === settings.school);
  const direction = directions[page.key] ?? (page.layout.goesAcross ? 'across' : 'down');
  return (
    <div className="room">
      <PlanSide chosen={chosen} onChoose={choose} first="margin" offered={page.layout.margins[0]?.quantity} />
      <div className="bench-sheet">
        <div className="tool-row">
          {sheets}
          <Choice<Direction>
            value={direction}
            label={words.bench.whereEnter}
            onChange={(way) => setDirections((old) => ({ ...old, [page.key]: way }))}
            width={250}
            options={(['down', 'across'] as const).map((value) => ({ value, label: words.bench.enterGoes[value] }))}
          />
          {orders.length > 1 && (
            <Choice<RowOrder>
              value={order}
              label={words.bench.rows}
              onChange={setOrder}
              width={160}
              options={orders.map((value) => ({ value, label: words.bench.rowsBy[value] }))}
            />
          )}
          <Choice
            value={settings.school}
            label={words.bench.school}
            onChange={(school) => change(() => ({ school }))}
            width={170}
            options={(catalogue.data?.schools ?? []).map((school) => ({
              value: school.code,
              label: words.bench.schoolIs(school.label),
              title: school.meaning,
            }))}
          />
          <Schools />
          {problem === null ? (
            <span className="note school-means">{words.bench.schoolMeans(school?.meaning ?? '')}</span>
          ) : (
            <span className="wrong" role="alert">
              {problem}
            </span>
          )}
        </div>
        <Remarks list={told.data?.code === page.layout.code ? told.data.remarks : []} />
        {page.layout.isLoose ? (
          <LooseSheet
            key={page.key}
            caseId={view.id}
            layout={page.layout}
            face={page.face}
            across={direction === 'across'}
            curves={told.data?.code === page.layout.code ? told.data.curves : []}
          />
        ) : (
          <Sheet key={page.key} layout={inOrder} face={page.face} across={direction === 'across'} at={chosen} onRow={choose} />
        )}
      </div>
    </div>
  );
}

interface LooseProps {
  caseId: string;
  layout: SheetLayout;
  face: string;
  across: boolean;
  curves: readonly Schemas['CurveView'][];
}

/** Parts off the engine: rows are added by their tags, and the plan is not walked with them. */
function LooseSheet({ caseId, layout, face, across, curves }: LooseProps) {
  const loose = useLooseRows(caseId, layout);
  const drawn = curves.filter((curve) => curve.face === face);
  const [at, setAt] = useState('');
  return (
    <>
      <AddLoose onAdd={(tag) => setAt(loose.add(tag).key)} />
      {loose.layout.rows.length === 0 ? (
        <p className="note pad">{words.bench.noLoose}</p>
      ) : (
        <Sheet
          layout={loose.layout}
          face={face}
          across={across}
          at={at}
          onRow={setAt}
          note={(row) => <StandsAt tag={row.label} coil={face} />}
        />
      )}
      <MetElsewhere
        tag={(loose.layout.rows.find((row) => row.key === at) ?? loose.layout.rows[0])?.label ?? null}
        at={(place, isLoose) => `bench/${isLoose ? 'loose_springs' : 'springs'}.outer?at=${place}`}
      />
      {drawn.length > 1 && (
        <Overlay curves={drawn} label={words.bench.overlaid(drawn.length)} along={words.bench.height} up={words.bench.load} />
      )}
    </>
  );
}
