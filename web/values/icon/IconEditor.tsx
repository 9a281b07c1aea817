import { useEffect, useState, type ReactNode } from 'react';
import { Button, Input } from 'antd';
import type { IconValue } from '@sormet/core/model';
import { Dialog } from '../../parts/Dialog';
import { sentence } from '../../words';
import type { EditorProps } from '../editor-props';
import { IconDrawn } from './IconDrawn';
import { loadIconSet, type IconSet } from './icon-set';
import { readSvg } from './read-svg';
import './icon.css';

/** How many icons are shown at once; more are found by typing. */
const SHOWN = 120;
/** The largest drawing that is read, in bytes. */
const LARGEST = 100_000;

/** An icon: of the set that ships, of SVG that is pasted, or of a file. */
export function IconEditor({ value, label, onChange, placeholder }: EditorProps): ReactNode {
  const [open, setOpen] = useState(false);
  const icon = value?.type === 'icon' ? value.value : null;
  return (
    <>
      <button
        type="button"
        className="as-link icon-opens"
        aria-label={`${label}: ${icon?.name || 'choose an icon'}`}
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
      >
        {icon ? <IconDrawn icon={icon} size="16px" /> : null}
        {icon ? icon.name || 'an icon' : placeholder || 'choose'}
      </button>
      {open ? (
        <Choosing
          label={label}
          chosen={icon}
          onChoose={(next) => {
            onChange({ type: 'icon', value: next }, null);
            setOpen(false);
          }}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </>
  );
}

function Choosing({
  label,
  chosen,
  onChoose,
  onClose,
}: {
  label: string;
  chosen: IconValue | null;
  onChoose: (icon: IconValue | null) => void;
  onClose: () => void;
}): ReactNode {
  const [set, setSet] = useState<IconSet | null>(null);
  const [search, setSearch] = useState('');
  const [pasted, setPasted] = useState('');
  const [wrong, setWrong] = useState('');
  const [coloured, setColoured] = useState<{ icon: IconValue; colours: number } | null>(null);
  useEffect(() => {
    loadIconSet().then(setSet, (error: Error) =>
      setWrong(`The icons that ship could not be loaded: ${error.message}. SVG can be pasted.`),
    );
  }, []);
  const wanted = search.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found = [...(set ?? [])].filter(([name]) => wanted.every((word) => name.includes(word)));
  const take = (text: string, name: string) => {
    const read = readSvg(text, name);
    if (!read.ok) return setWrong(sentence(read.reason));
    // An icon is drawn in the colour of the words around it: what would look otherwise is taken only when that was read.
    if (read.colours > 1) setColoured(read);
    else onChoose(read.icon);
  };
  const open = async (file: File) => {
    if (file.size > LARGEST) return setWrong('A drawing has at most 100 kB.');
    take(await file.text(), file.name.replace(/\.svg$/i, ''));
  };
  return (
    <Dialog open width={640} title={label} footer={null} onCancel={onClose}>
      <Input
        data-first
        size="small"
        aria-label="Find an icon"
        placeholder={set ? `find one of ${set.size}` : 'loading …'}
        value={search}
        onChange={({ target }) => setSearch(target.value)}
      />
      <div className="icon-grid" role="group" aria-label="Icons">
        {found.slice(0, SHOWN).map(([name, icon]) => (
          <button
            key={name}
            type="button"
            aria-label={icon.name}
            aria-pressed={chosen?.name === icon.name}
            title={icon.name}
            onClick={() => onChoose(icon)}
          >
            <IconDrawn icon={icon} size="20px" />
          </button>
        ))}
      </div>
      {found.length > SHOWN ? (
        <p className="quiet">{found.length - SHOWN} more: type to find them</p>
      ) : null}
      {set && found.length === 0 ? <p className="quiet">None is called so.</p> : null}
      <Input.TextArea
        aria-label="SVG of your own"
        aria-invalid={wrong !== ''}
        placeholder="or paste SVG of your own"
        autoSize={{ minRows: 2, maxRows: 5 }}
        value={pasted}
        onChange={({ target }) => {
          setPasted(target.value);
          setWrong('');
          setColoured(null);
        }}
      />
      {wrong ? (
        <p className="icon-wrong" role="alert">
          {wrong}
        </p>
      ) : null}
      {coloured ? (
        <p className="icon-coloured" role="status">
          It has {coloured.colours} colours; an icon has one, that of the words around it. Brought
          in as a picture it keeps them.{' '}
          <Button size="small" onClick={() => onChoose(coloured.icon)}>
            Take it in one colour <IconDrawn icon={coloured.icon} size="16px" />
          </Button>
        </p>
      ) : null}
      <div className="icon-acts">
        <Button
          size="small"
          type="primary"
          disabled={pasted.trim() === ''}
          onClick={() => take(pasted, 'own icon')}
        >
          Take what is pasted
        </Button>
        <label className="ant-btn ant-btn-default ant-btn-sm">
          A file …
          <input
            type="file"
            accept=".svg,image/svg+xml"
            className="for-readers"
            onChange={({ target }) => {
              const [file] = target.files ?? [];
              if (file) void open(file);
              target.value = '';
            }}
          />
        </label>
        {chosen ? (
          <Button size="small" onClick={() => onChoose(null)}>
            No icon
          </Button>
        ) : null}
      </div>
    </Dialog>
  );
}
