import { useEffect } from 'react';

/** Names the window: what is shown first, then what that belongs to. */
export function useTitle(...of: readonly (string | undefined)[]): void {
  const title = [...of, 'Sormet'].filter(Boolean).join(' · ');
  useEffect(() => {
    document.title = title;
  }, [title]);
}
