import { useState, type ReactNode } from 'react';
import { Checkbox, Input, Popover } from 'antd';
import { docOf, type ImageValue } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import type { EditorProps } from './editor-props';

/** What is said of a picture where it is shown: its alternative text, or that it is decoration; when it is loaded. */
export function PictureWords({ value, label, onChange }: EditorProps): ReactNode {
  const { documents } = useDerived();
  const [open, setOpen] = useState(false);
  const picture = value?.type === 'image' ? value.value : null;
  if (!picture) return null;
  const give = (changed: Partial<ImageValue>, group: string | null = null) => {
    const next = { ...picture, ...changed };
    for (const name of Object.keys(next) as (keyof ImageValue)[])
      if (next[name] === undefined) delete next[name];
    onChange({ type: 'image', value: next }, group);
  };
  /** What the file says of itself stands for it where nothing is said here. */
  const ofFile = docOf(documents, 'asset', picture.asset)?.alt;
  const missing = !picture.alt && !picture.decorative && !ofFile;
  return (
    <Popover
      open={open}
      trigger="click"
      destroyOnHidden
      onOpenChange={setOpen}
      content={
        <div
          className="picture-words"
          role="group"
          aria-label={`${label}: what is said of it`}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return;
            event.stopPropagation();
            setOpen(false);
          }}
        >
          <label>
            Alternative text
            <Input.TextArea
              size="small"
              autoFocus
              autoSize={{ minRows: 2, maxRows: 4 }}
              maxLength={500}
              disabled={picture.decorative === true}
              aria-label={`${label}: alternative text`}
              placeholder={ofFile ?? 'what somebody who does not see it should know'}
              value={picture.alt ?? ''}
              onChange={({ target }) => give({ alt: target.value || undefined }, 'alt')}
            />
          </label>
          <Checkbox
            checked={picture.decorative === true}
            onChange={({ target }) =>
              give({ decorative: target.checked ? true : undefined, alt: undefined } as never)
            }
          >
            decoration: the words around say it all
          </Checkbox>
          <Checkbox
            checked={picture.lazy === true}
            onChange={({ target }) => give({ lazy: target.checked ? true : undefined } as never)}
          >
            load it when it is about to be seen
          </Checkbox>
        </div>
      }
    >
      <button
        type="button"
        className="as-link"
        aria-label={`${label}: ${picture.decorative ? 'decor' : 'alt'}, ${missing ? 'no text of its own yet' : picture.decorative ? 'decoration' : 'alternative text'}`}
        title={
          picture.alt ??
          (picture.decorative ? 'decoration' : (ofFile ?? 'no alternative text of its own yet'))
        }
      >
        {picture.decorative ? 'decor' : 'alt'}
      </button>
    </Popover>
  );
}
