import { Link, useRouteError } from 'react-router';

/** A page that is not there, or broke: what to do next. */
export function NotFound() {
  const error = useRouteError();
  const broke = error instanceof Error;
  return (
    <main className="page" style={{ padding: 40 }}>
      <h1>{broke ? 'This page tripped' : 'Nothing stands here'}</h1>
      <p className="lead">
        {broke
          ? 'What you entered is kept on this device. Load the page again; if it happens again, go back to Today.'
          : 'The address leads nowhere. Nothing was changed.'}
      </p>
      <p>
        <Link className="btn" to="/">
          Go to Today
        </Link>
      </p>
      {broke && <p className="why-text">{error.message}</p>}
    </main>
  );
}
