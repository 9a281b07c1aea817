import { useMemo, useState, type ReactNode } from 'react';
import { Select } from 'antd';
import { readColour } from '@sormet/core/colour';
import { own, type ColourValue } from '@sormet/core/model';
import { filled } from '@sormet/core/style';
import { useDerived } from '../../site/SiteProvider';
import { ColourButton } from './ColourButton';
import { hexOf } from './ColourPicker';
import type { EditorProps } from '../editor-props';
import { tokenColours } from './token-colours';

/** A colour: a token of the site, which follows it and its themes, or any other that is picked or typed. */
export function ColourEditor({
  value,
  label,
  onChange,
  placeholder,
  open,
}: EditorProps): ReactNode {
  const { documents } = useDerived();
  const tokens = useMemo(() => tokenColours(documents), [documents]);
  const [typed, setTyped] = useState('');
  const given = value?.type === 'colour' ? value.value : null;
  const give = (next: ColourValue, group: string | null = null) =>
    onChange({ type: 'colour', value: next }, group);
  const css = given === null ? undefined : colourCss(given, documents);
  const options = tokens.map(({ id, name, css: shown }) => ({
    value: `token ${id}`,
    name,
    label: (
      <span className="value-words">
        <span className="swatch-words" style={{ background: shown }} />
        {name}
      </span>
    ),
  }));
  const hex = typeof given === 'string' ? [{ value: given, name: given, label: given }] : [];
  const take = (typed: string) => {
    const read = readColour(typed);
    if (read) give(hexOf(read));
  };
  return (
    <span className="colour-editor">
      <ColourButton
        label={label}
        className="swatch-words is-button"
        colour={css}
        token={given !== null && typeof given === 'object' ? given.token : undefined}
        hexOnly
        onPick={(picked, group) => {
          give('css' in picked ? picked.css : { token: picked.token.id }, group);
          return '';
        }}
      />
      <Select
        size="small"
        variant="borderless"
        showSearch={{ optionFilterProp: 'name', onSearch: setTyped }}
        aria-label={label}
        defaultOpen={open ?? false}
        value={
          given === null ? undefined : typeof given === 'string' ? given : `token ${given.token}`
        }
        placeholder={placeholder ?? ' '}
        options={[...hex, ...options]}
        notFoundContent={<span className="quiet">Enter takes what is typed as a colour</span>}
        onSelect={(chosen: string) =>
          chosen.startsWith('token ') ? give({ token: chosen.slice('token '.length) }) : undefined
        }
        onInputKeyDown={({ key }) => {
          if (key === 'Enter' && typed !== '') take(typed);
        }}
      />
    </span>
  );
}

/** A colour as CSS that shows it outside of a page: a token by what it is in the plain theme. */
function colourCss(
  colour: ColourValue,
  { tokens: { tokens } }: ReturnType<typeof useDerived>['documents'],
): string | undefined {
  if (typeof colour === 'string') return colour;
  const token = own(tokens, colour.token);
  return token && filled(token.value, tokens);
}
