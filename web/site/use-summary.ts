import { useMemo } from 'react';
import type { SiteSummary } from '@sormet/core/api';
import { useSite } from '../store/store';

/** What the list of sites says of the open one, with its name and addresses as they are by now. */
export function useSummary(): SiteSummary | null {
  const { summary, confirmed } = useSite('summary', 'confirmed');
  const { name, slug } = confirmed.site;
  return useMemo(() => {
    if (!summary) return null;
    const now = (address: string) => address.replace(`//${summary.slug}.`, `//${slug}.`);
    const { address, preview } = summary;
    return {
      ...summary,
      name,
      slug,
      address: now(address),
      preview: now(preview),
    };
  }, [summary, name, slug]);
}
