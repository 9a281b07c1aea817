import { useRef, useState, type ReactNode } from 'react';
import { Select } from 'antd';
import { allOf } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { Wrong } from '../parts/Wrong';
import type { EditorProps } from './editor-props';
import { readLink } from '@sormet/core/format';
import { linkWords } from '../words';

/** A page or entry of the site, chosen by typing (an anchor on it with #), a mail address, a telephone number, or any address that may stand in a page. */
export function LinkEditor({ value, label, onChange, placeholder, open }: EditorProps): ReactNode {
  const { documents } = useDerived();
  const link = value?.type === 'link' ? value.value : null;
  const chosen = link
    ? link.to === 'page' && link.anchor === undefined
      ? `page ${link.page} ${link.entry ?? ''}`
      : 'typed'
    : undefined;
  const search = useRef('');
  const [wrong, setWrong] = useState('');
  const pages = allOf(documents, 'page').flatMap((page) =>
    page.entries === null
      ? [{ value: `page ${page.id} `, label: page.path, draft: page.draft }]
      : allOf(documents, 'entry')
          .filter(({ type }) => type === page.entries)
          .map((entry) => ({
            value: `page ${page.id} ${entry.id}`,
            label: page.path.replace('<slug>', entry.slug),
            draft: page.draft || entry.draft,
          })),
  );
  const options =
    link && chosen === 'typed'
      ? [{ value: 'typed', label: linkWords(documents, link), draft: false }, ...pages]
      : pages;
  const choose = (picked: string) => {
    const [kind, page, entry] = picked.split(' ');
    if (kind === 'page')
      onChange(
        {
          type: 'link',
          value: entry ? { to: 'page', page: page!, entry } : { to: 'page', page: page! },
        },
        null,
      );
  };
  const typeAddress = () => {
    const typed = search.current.trim();
    search.current = '';
    const read = readLink(
      typed,
      pages.map(({ value: of, label: path }) => ({ of, path })),
    );
    if (read) onChange({ type: 'link', value: read }, null);
    else if (typed !== '' && !pages.some(({ label: path }) => path.includes(typed)))
      setWrong(
        `“${typed}” leads nowhere that a page may: https, mail, a telephone number, or a page of the site.`,
      );
  };
  return (
    <span className="link-editor">
      <Select
        size="small"
        variant="borderless"
        showSearch={{
          optionFilterProp: 'label',
          onSearch: (text) => {
            if (text !== '') search.current = text;
            setWrong('');
          },
        }}
        aria-label={label}
        defaultOpen={open ?? false}
        value={chosen}
        placeholder={placeholder ?? ' '}
        options={options}
        optionRender={({ data }) => (
          <span className="bound-option">
            {data.label}
            {data.draft ? <span className="quiet">draft</span> : null}
          </span>
        )}
        notFoundContent={
          <span className="quiet">
            Enter takes what is typed: an address, a mail address, a number, a page with #anchor
          </span>
        }
        onChange={choose}
        onInputKeyDown={(event) => {
          if (event.key === 'Enter') typeAddress();
        }}
        onBlur={typeAddress}
      />
      <Wrong words={wrong} />
    </span>
  );
}
