import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { useSheet } from '../shared/queries';
import type { SheetLayout } from '../sheet/cells';
import { Remarks } from '../sheet/Remarks';
import { Sheet } from '../sheet/Sheet';

/** A sheet whose rows are no stations, with what it says as a whole. */
export function ToldSheet({ layout, foot }: { layout: SheetLayout | undefined; foot?: string }) {
  const { view } = useBench();
  const [at, setAt] = useState('');
  const told = useSheet(view.id, layout?.code);
  if (layout === undefined) return null;
  return (
    <>
      <Remarks list={told.data?.code === layout.code ? told.data.remarks : []} />
      <Sheet layout={layout} across={layout.goesAcross} at={at} onRow={setAt} {...(foot === undefined ? {} : { foot })} />
    </>
  );
}
