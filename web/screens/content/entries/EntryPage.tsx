import { useRef, useState, type ReactNode } from 'react';
import { Radio } from 'antd';
import { Link } from 'react-router';
import { pathOf, type EntryDoc, type PageDoc } from '@sormet/core/model';
import { widthsOf } from '@sormet/core/style';
import { BASE_WIDTH } from '../../../canvas/Canvas';
import { Picture } from '../../../canvas/Picture';
import { usePaneWidth } from '../../../canvas/use-pane-width';
import { useDerived, useSync } from '../../../site/SiteProvider';

/** The page of an entry as it will be, live while the entry is edited beside it, at a width one chooses. */
export function EntryPage({ page, entry }: { page: PageDoc; entry: EntryDoc }): ReactNode {
  const { documents, builtOf } = useDerived();
  const { site } = useSync();
  const place = useRef<HTMLDivElement>(null);
  const room = usePaneWidth(place);
  const [width, setWidth] = useState('base');
  const widths = widthsOf(documents.site);
  const chosen = widths.find(({ id }) => id === width) ?? widths[0]!;
  const built = builtOf(page.id, entry);
  return (
    <section className="entry-page" aria-label={`Page ${pathOf(page, entry)}`}>
      <div className="entry-page-head">
        <Link to={`/sites/${site}/bench/${page.id}?entry=${entry.id}`}>{pathOf(page, entry)}</Link>
        {entry.draft ? <span className="quiet">a draft: not published</span> : null}
        <Radio.Group
          size="small"
          optionType="button"
          aria-label="Width"
          value={chosen.id}
          onChange={({ target }) => setWidth(target.value as string)}
          options={widths.map(({ id, max }) => ({
            value: id,
            label: Math.min(max, BASE_WIDTH),
          }))}
        />
      </div>
      <div ref={place} className="entry-page-room">
        {built && room > 0 ? (
          <Picture
            documents={documents}
            built={built}
            drawn={Math.min(chosen.max, BASE_WIDTH)}
            width={room}
            height={Number.POSITIVE_INFINITY}
          />
        ) : null}
      </div>
    </section>
  );
}
