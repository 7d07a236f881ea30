import { Spin } from 'antd';
import type { ComponentType } from 'react';
import { Outlet, type RouteObject } from 'react-router';
import { DoorGate } from './door/DoorGate';
import { BrokenPage, BrokenPlace, Guarded } from './frame/Broken';
import { CasePage } from './frame/CaseFrame';
import { CaseStart, NoSuchPage, NoSuchPlace } from './frame/Elsewhere';
import { Queue } from './queue/Queue';

type Place = () => Promise<{ default: ComponentType }>;

/** The places of a case by the step they belong to, each fetched when it is first opened. */
const places: Record<string, Place> = {
  story: () => import('./story/Story'),
  before: () => import('./before/Before'),
  schedule: () => import('./schedule/Days'),
  teardown: () => import('./teardown/Teardown'),
  bench: () => import('./bench/BenchPlace'),
  clearances: () => import('./clearances/Clearances'),
  motion: () => import('./motion/Motion'),
  compare: () => import('./compare/Compare'),
  cause: () => import('./cause/CauseBoard'),
  remedy: () => import('./remedy/Remedy'),
  report: () => import('./report/Report'),
};

const fetched = (place: Place) => async () => ({ Component: (await place()).default });

/** Every address of the page. What is none of them ends in words. */
export const routes: RouteObject[] = [
  {
    element: <Page />,
    errorElement: <BrokenPage />,
    HydrateFallback: () => <Spin style={{ margin: 40 }} />,
    children: [
      { index: true, element: <Queue /> },
      { path: 'new', lazy: fetched(() => import('./queue/NewCase')) },
      { path: 'quick', lazy: fetched(() => import('./quick/Quick')) },
      { path: 'library/:shelf?', lazy: fetched(() => import('./library/Library')) },
      {
        path: 'case/:id',
        element: <CasePage />,
        children: [
          {
            errorElement: <BrokenPlace />,
            children: [
              { index: true, element: <CaseStart /> },
              ...Object.entries(places).map(([step, place]) => ({ path: `${step}/:section?`, lazy: fetched(place) })),
              { path: ':step/*', element: <NoSuchPlace /> },
            ],
          },
        ],
      },
      { path: '*', element: <NoSuchPage /> },
    ],
  },
];

function Page() {
  return (
    <Guarded place="page">
      <DoorGate>
        <Outlet />
      </DoorGate>
    </Guarded>
  );
}
