import type { ReactNode } from 'react';
import { Link } from 'react-router';

export function NotFound(): ReactNode {
  return (
    <main className="page-narrow">
      <h1>There is nothing at this address</h1>
      <p>
        <Link to="/">To the sites</Link>
      </p>
    </main>
  );
}
