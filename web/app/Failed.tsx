import { useEffect, type ReactNode } from 'react';
import { Link, useRouteError } from 'react-router';
import { Button } from 'antd';

/** A screen that could not be drawn: what was done is kept, and there are ways on. What went wrong stands in the console. */
export function Failed(): ReactNode {
  const error = useRouteError();
  useEffect(() => {
    document.title = 'Could not be shown · Sormet';
    console.error(error);
  }, [error]);
  return (
    <main className="page-narrow" role="alert">
      <h1>This could not be shown</h1>
      <p>
        Something in Sormet went wrong here. What you did is kept: what was not sent yet is sent
        when the site is opened again.
      </p>
      <p className="quiet">{error instanceof Error ? error.message : String(error)}</p>
      <p>
        <Button type="primary" onClick={() => window.location.reload()}>
          Open it again
        </Button>{' '}
        <Link to="/" reloadDocument>
          To the sites
        </Link>
      </p>
    </main>
  );
}
