import { lazy, Suspense, type ReactNode } from 'react';
import { Select } from 'antd';
import { allOf, entryTitle, inOrder, type TypeSpec } from '@sormet/core/model';
import { convert } from '@sormet/core/value';
import { useDerived } from '../site/SiteProvider';
import { ChosenEditor } from './ChosenEditor';
import { ColourEditor } from './colour/ColourEditor';
import type { EditorProps } from './editor-props';
import { IconEditor } from './icon/IconEditor';
import { ImageEditor } from './ImageEditor';
import { LengthEditor } from './LengthEditor';
import { LinkEditor } from './LinkEditor';
import { ListEditor } from './list/ListEditor';
import { ShowValue } from './show-value';
import { NumberEditor } from './NumberEditor';
import { VideoEditor } from './VideoEditor';
import { WordsField } from './WordsField';
import './values.css';

/** What edits rich text is large: it is loaded when the first is shown. */
const RichEditor = lazy(() =>
  import('./rich/RichEditor').then(({ RichEditor: loaded }) => ({ default: loaded })),
);

/** How a value of a type is edited: typed, chosen from a list, or not in the interface yet. */
export function waysToEdit(type: TypeSpec): 'typed' | 'chosen' | 'shown' {
  switch (type.kind) {
    case 'text':
    case 'number':
    case 'date':
      return 'typed';
    case 'boolean':
    case 'link':
    case 'image':
    case 'video':
    case 'entry':
    case 'entries':
    case 'choice':
    case 'colour':
    case 'tag':
    case 'theme':
    case 'style':
      return 'chosen';
    case 'length':
    case 'rich':
    case 'icon':
    case 'list':
      return 'typed';
    default:
      return 'shown';
  }
}

/** The editor of a type, small enough for a cell. */
export function ValueEditor(given: EditorProps): ReactNode {
  const { documents, data } = useDerived();
  // What was written when the type was another is edited as what it means now.
  const props: EditorProps =
    given.value && given.value.type !== given.type.kind
      ? { ...given, value: convert(given.value, given.type, data) ?? undefined }
      : given;
  const { type, value, label, onChange, placeholder } = props;
  const held = value?.type === type.kind ? value.value : undefined;
  switch (type.kind) {
    case 'text':
      return (
        <WordsField
          label={label}
          value={typeof held === 'string' ? held : ''}
          placeholder={placeholder}
          onMarked={props.onMarked}
          onPlace={props.onPlace}
          onChange={(typed, group) => onChange({ type: 'text', value: typed }, group)}
        />
      );
    case 'number':
      return <NumberEditor {...props} />;
    case 'date':
      return (
        <input
          className="plain-field"
          type="date"
          aria-label={label}
          value={typeof held === 'string' ? held : ''}
          onChange={({ target }) => onChange({ type: 'date', value: target.value || null }, null)}
        />
      );
    case 'boolean':
      return (
        <Choices
          {...props}
          chosen={typeof held === 'boolean' ? String(held) : undefined}
          options={[
            { value: 'true', label: 'yes' },
            { value: 'false', label: 'no' },
          ]}
          onChoose={(chosen) => onChange({ type: 'boolean', value: chosen === 'true' }, null)}
        />
      );
    case 'length':
      return <LengthEditor {...props} />;
    case 'colour':
      return <ColourEditor {...props} />;
    case 'tag':
    case 'theme':
    case 'style':
      return <ChosenEditor {...props} type={type} />;
    case 'icon':
      return <IconEditor {...props} />;
    case 'rich':
      return (
        <Suspense fallback={<ShowValue documents={documents} value={value} />}>
          <RichEditor {...props} />
        </Suspense>
      );
    case 'list':
      return <ListEditor {...props} type={type} editor={(each) => <ValueEditor {...each} />} />;
    case 'link':
      return <LinkEditor {...props} />;
    case 'image':
      return <ImageEditor {...props} />;
    case 'video':
      return <VideoEditor {...props} />;
    case 'entry':
      return (
        <Choices
          {...props}
          chosen={typeof held === 'string' ? held : undefined}
          options={allOf(documents, 'entry')
            .filter((entry) => type.of === undefined || entry.type === type.of)
            .map((entry) => ({ value: entry.id, label: entryTitle(documents, entry) }))}
          onChoose={(chosen) => onChange({ type: 'entry', value: chosen }, null)}
        />
      );
    case 'entries':
      return (
        <Select
          size="small"
          mode="multiple"
          variant="borderless"
          showSearch={{ optionFilterProp: 'label' }}
          aria-label={label}
          defaultOpen={props.open ?? false}
          value={Array.isArray(held) ? (held as string[]) : []}
          placeholder={placeholder ?? ' '}
          options={allOf(documents, 'entry')
            .filter((entry) => type.of === undefined || entry.type === type.of)
            .map((entry) => ({ value: entry.id, label: entryTitle(documents, entry) }))}
          onChange={(chosen) => onChange({ type: 'entries', value: chosen }, null)}
        />
      );
    case 'choice':
      return (
        <Choices
          {...props}
          chosen={typeof held === 'string' ? held : undefined}
          options={inOrder(type.options)
            .filter(([, option]) => option.gone === undefined)
            .map(([id, option]) => ({ value: id, label: option.label }))}
          onChoose={(chosen) => onChange({ type: 'choice', value: chosen }, null)}
        />
      );
    default:
      return <ShowValue documents={documents} value={value} />;
  }
}

/** One of a list, found by typing. */
function Choices({
  label,
  placeholder,
  open,
  chosen,
  options,
  onChoose,
}: EditorProps & {
  chosen: string | undefined;
  options: readonly { value: string; label: string }[];
  onChoose: (chosen: string) => void;
}): ReactNode {
  return (
    <Select
      size="small"
      variant="borderless"
      showSearch={{ optionFilterProp: 'label' }}
      aria-label={label}
      defaultOpen={open ?? false}
      value={chosen}
      placeholder={placeholder ?? ' '}
      options={[...options]}
      onChange={onChoose}
    />
  );
}
