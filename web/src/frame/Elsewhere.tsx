import { Link, Navigate, useLocation, useParams } from 'react-router';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { Title } from './Title';

/** A case without a step opens where its next act is. */
export function CaseStart() {
  const { view } = useBench();
  return <Navigate to={`/case/${view.id}/${view.next.step}`} replace />;
}

/** An address within a case that leads nowhere. */
export function NoSuchPlace() {
  const { view } = useBench();
  const { step = '' } = useParams();
  return (
    <div className="sheet pad">
      <div className="empty">
        <b>{words.nowhere.place(step)}</b>
        <p>{words.nowhere.placeWhat}</p>
        <Link to={`/case/${view.id}/${view.next.step}`}>{words.nowhere.next}</Link>
      </div>
    </div>
  );
}

/** Any other address that leads nowhere. */
export function NoSuchPage() {
  const { pathname } = useLocation();
  return (
    <main className="pad">
      <Title of={words.nowhere.title} />
      <h1 className="unseen">{words.nowhere.title}</h1>
      <div className="empty">
        <b>{words.nowhere.page(pathname)}</b>
        <p>{words.nowhere.pageWhat}</p>
        <Link to="/">{words.newCase.back}</Link>
      </div>
    </main>
  );
}
