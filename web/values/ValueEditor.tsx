import { useRef, type ReactNode } from 'react';
import { Input, Select } from 'antd';
import {
  allOf,
  assetPath,
  entryTitle,
  inOrder,
  safeAddress,
  newId,
  FORMAT,
  type AssetDoc,
  type Documents,
  type Typed,
  type TypeSpec,
} from '@sormet/core/model';
import { benchActions } from '../store/bench-slice';
import type { FileAnswer } from '@sormet/core/api';
import { api } from '../site/api';
import { useDerived, useSync } from '../site/SiteProvider';
import { useAppDispatch } from '../store/store';
import { siteActions } from '../store/site-slice';
import { ShowValue } from './show-value';
import { WordSteps } from './word-steps';
import './values.css';

interface EditorProps {
  readonly type: TypeSpec;
  readonly value: Typed | undefined;
  readonly label: string;
  /** Told every change, with a name under which changes that follow each other are one step. */
  readonly onChange: (value: Typed, group: string | null) => void;
  readonly placeholder?: string;
}

/** The editor of a type, small enough for a cell. */
export function ValueEditor(props: EditorProps): ReactNode {
  const { documents } = useDerived();
  const { type, value, label, onChange, placeholder } = props;
  const given = value?.type === type.kind ? value.value : undefined;
  switch (type.kind) {
    case 'text':
      return (
        <WordsInput
          label={label}
          value={typeof given === 'string' ? given : ''}
          placeholder={placeholder}
          onChange={(typed, group) => onChange({ type: 'text', value: typed }, group)}
        />
      );
    case 'number':
      return (
        <Input
          size="small"
          variant="borderless"
          type="number"
          aria-label={label}
          value={typeof given === 'number' ? given : ''}
          placeholder={placeholder}
          onChange={({ target }) =>
            onChange(
              { type: 'number', value: target.value === '' ? null : Number(target.value) },
              label,
            )
          }
        />
      );
    case 'date':
      return (
        <Input
          size="small"
          variant="borderless"
          type="date"
          aria-label={label}
          value={typeof given === 'string' ? given : ''}
          onChange={({ target }) => onChange({ type: 'date', value: target.value || null }, null)}
        />
      );
    case 'boolean':
      return (
        <Select
          size="small"
          variant="borderless"
          aria-label={label}
          value={typeof given === 'boolean' ? given : undefined}
          placeholder={placeholder ?? ' '}
          options={[
            { value: true, label: 'yes' },
            { value: false, label: 'no' },
          ]}
          onChange={(chosen: boolean) => onChange({ type: 'boolean', value: chosen }, null)}
        />
      );
    case 'link':
      return <LinkEditor {...props} documents={documents} />;
    case 'image':
      return <ImageEditor {...props} documents={documents} />;
    case 'entry':
      return (
        <Select
          size="small"
          variant="borderless"
          showSearch={{ optionFilterProp: 'label' }}
          aria-label={label}
          value={typeof given === 'string' ? given : undefined}
          placeholder={placeholder ?? ' '}
          options={allOf(documents, 'entry')
            .filter((entry) => type.of === undefined || entry.type === type.of)
            .map((entry) => ({ value: entry.id, label: entryTitle(documents, entry) }))}
          onChange={(chosen: string) => onChange({ type: 'entry', value: chosen }, null)}
        />
      );
    case 'choice':
      return (
        <Select
          size="small"
          variant="borderless"
          aria-label={label}
          value={typeof given === 'string' ? given : undefined}
          placeholder={placeholder ?? ' '}
          options={inOrder(type.options)
            .filter(([, option]) => option.gone === undefined)
            .map(([id, option]) => ({ value: id, label: option.label }))}
          onChange={(chosen: string) => onChange({ type: 'choice', value: chosen }, null)}
        />
      );
    default:
      return <ShowValue documents={documents} value={value} />;
  }
}

/** A text field whose words are steps of their own. */
function WordsInput({
  label,
  value,
  placeholder,
  onChange,
}: {
  label: string;
  value: string;
  placeholder?: string | undefined;
  onChange: (value: string, group: string) => void;
}): ReactNode {
  const session = useRef({ stretch: '', steps: new WordSteps('') });
  return (
    <Input.TextArea
      size="small"
      variant="borderless"
      rows={1}
      className="grows"
      aria-label={label}
      value={value}
      placeholder={placeholder ?? ''}
      onFocus={() => {
        session.current = { stretch: newId(), steps: new WordSteps(value) };
      }}
      onChange={({ target }) => {
        const typed = target.value.replace(/\n/g, ' ');
        const { stretch, steps } = session.current;
        onChange(typed, `${stretch} ${steps.after(typed)}`);
      }}
    />
  );
}

function LinkEditor({
  value,
  label,
  onChange,
  placeholder,
  documents,
}: EditorProps & { documents: Documents }): ReactNode {
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

function ImageEditor({
  value,
  label,
  onChange,
  placeholder,
  documents,
}: EditorProps & { documents: Documents }): ReactNode {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const file = useRef<HTMLInputElement>(null);
  const asset = value?.type === 'image' ? value.value?.asset : undefined;
  const pictures = allOf(documents, 'asset').filter(({ mediaType }) =>
    mediaType.startsWith('image/'),
  );
  const bringIn = async (chosen: File) => {
    try {
      const stored = await api.upload(sync.site, chosen);
      const doc = assetOf(stored);
      if (stored.leftOut.length > 0)
        dispatch(
          benchActions.notice(
            `${stored.name} was brought in without what does not draw: ${stored.leftOut.join(', ')}.`,
          ),
        );
      if (sync.edit({ name: 'addAsset', args: { asset: doc } }))
        onChange({ type: 'image', value: { asset: doc.id } }, null);
    } catch (error) {
      dispatch(siteActions.refused((error as Error).message));
    }
  };
  return (
    <>
      <Select
        size="small"
        variant="borderless"
        showSearch={{ optionFilterProp: 'name' }}
        aria-label={label}
        value={asset}
        placeholder={placeholder ?? ' '}
        options={[
          { value: 'upload', label: 'Bring in a picture …', name: '' },
          ...pictures.map((picture) => ({
            value: picture.id,
            name: picture.name,
            label: (
              <span className="value-words">
                <img src={assetPath(picture)} alt="" className="value-picture" />
                {picture.name}
              </span>
            ),
          })),
        ]}
        onChange={(chosen: string) => {
          if (chosen === 'upload') file.current?.click();
          else onChange({ type: 'image', value: { asset: chosen } }, null);
        }}
      />
      <input
        ref={file}
        type="file"
        hidden
        accept="image/svg+xml,image/png,image/jpeg,image/webp,image/gif"
        onChange={({ target }) => {
          const chosen = target.files?.[0];
          target.value = '';
          if (chosen) void bringIn(chosen);
        }}
      />
    </>
  );
}

function assetOf({ sha256, mediaType, name, width, height }: FileAnswer): AssetDoc {
  return {
    id: newId(),
    kind: 'asset',
    format: FORMAT,
    name,
    sha256,
    mediaType: mediaType as AssetDoc['mediaType'],
    width,
    height,
  };
}

/** The asset that stands for a picture nobody has chosen yet. */
export function placeholderPicture(documents: Documents): string | undefined {
  const pictures = allOf(documents, 'asset').filter(({ mediaType }) =>
    mediaType.startsWith('image/'),
  );
  return (pictures.find(({ name }) => name.startsWith('placeholder')) ?? pictures[0])?.id;
}
