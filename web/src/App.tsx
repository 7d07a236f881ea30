import { Spin } from 'antd';
import { lazy, Suspense } from 'react';
import { Navigate, Route, Routes, useLocation, useParams } from 'react-router';
import { DoorGate } from './door/DoorGate';
import { TemperPatterns } from './draw/Temper';
import { Guarded } from './frame/Broken';
import { CaseFrame } from './frame/CaseFrame';
import { Later } from './frame/Later';
import { Queue } from './queue/Queue';

const NewCase = lazy(() => import('./queue/NewCase'));
const places: Record<string, ReturnType<typeof lazy>> = {
  story: lazy(() => import('./story/Story')),
  before: lazy(() => import('./before/Before')),
  schedule: lazy(() => import('./schedule/Days')),
  teardown: lazy(() => import('./teardown/Teardown')),
  bench: lazy(() => import('./bench/BenchPlace')),
  clearances: lazy(() => import('./clearances/Clearances')),
  cause: lazy(() => import('./cause/CauseBoard')),
  report: lazy(() => import('./report/Report')),
};

export function App() {
  const { pathname } = useLocation();
  return (
    <Guarded place={pathname}>
      <Pages />
    </Guarded>
  );
}

function Pages() {
  return (
    <Suspense fallback={<Spin style={{ margin: 40 }} />}>
      <TemperPatterns />
      <DoorGate>
        <Routes>
          <Route path="/" element={<Queue />} />
          <Route path="/new" element={<NewCase />} />
          <Route path="/case/:id/:step" element={<CasePlace />} />
          <Route path="*" element={<Navigate to="/" replace />} />
        </Routes>
      </DoorGate>
    </Suspense>
  );
}

function CasePlace() {
  const { id = '', step = '' } = useParams();
  const Place = places[step];
  return (
    <CaseFrame key={id} id={id} step={step}>
      <Guarded place={step}>
        <Suspense fallback={<Spin style={{ margin: 40 }} />}>{Place ? <Place /> : <Later step={step} />}</Suspense>
      </Guarded>
    </CaseFrame>
  );
}
