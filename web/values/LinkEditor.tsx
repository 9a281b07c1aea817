import { useRef, type ReactNode } from 'react';
import { Select } from 'antd';
import { allOf, safeAddress } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import type { EditorProps } from './editor-props';

/** A page or entry of the site, chosen by typing, or any address that may stand in a page. */
export function LinkEditor({ value, label, onChange, placeholder, open }: EditorProps): ReactNode {
  const { documents } = useDerived();
  const link = value?.type === 'link' ? value.value : null;
  const chosen = link
    ? link.to === 'page'
      ? `page ${link.page} ${link.entry ?? ''}`
      : `address ${link.href}`
    : undefined;
  const search = useRef('');
  const pages = allOf(documents, 'page').flatMap((page) =>
    page.entries === null
      ? [{ value: `page ${page.id} `, label: page.path }]
      : allOf(documents, 'entry')
          .filter(({ type }) => type === page.entries)
          .map((entry) => ({
            value: `page ${page.id} ${entry.id}`,
            label: page.path.replace('<slug>', entry.slug),
          })),
  );
  const options = link?.to === 'address' ? [{ value: chosen!, label: link.href }, ...pages] : pages;
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
    if (typed === '' || typed.startsWith('/')) return;
    if (safeAddress(typed) !== '')
      onChange({ type: 'link', value: { to: 'address', href: typed } }, null);
  };
  return (
    <Select
      size="small"
      variant="borderless"
      showSearch={{
        optionFilterProp: 'label',
        onSearch: (text) => {
          if (text !== '') search.current = text;
        },
      }}
      aria-label={label}
      defaultOpen={open ?? false}
      value={chosen}
      placeholder={placeholder ?? ' '}
      options={options}
      notFoundContent={<span className="quiet">Enter takes what is typed as an address</span>}
      onChange={choose}
      onInputKeyDown={(event) => {
        if (event.key === 'Enter') typeAddress();
      }}
      onBlur={typeAddress}
    />
  );
}
