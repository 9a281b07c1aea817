import type { ReactNode } from 'react';
import { IMAGE, literal, type Source, type Typed } from '@sormet/core/model';
import type { Ground } from '@sormet/core/edit';
import { ImageEditor } from '../../../values/ImageEditor';
import { Ways, type Way } from '../../../parts/Ways';

/** What lies over a picture so that words on it are read; `''` for nothing. */
const VEILS: readonly Way[] = [
  { value: '', word: 'no veil' },
  { value: 'linear-gradient(#0008,#0008)', word: 'dark all over' },
  { value: 'linear-gradient(#0000,#000c)', word: 'darker below' },
  { value: 'linear-gradient(#000c,#0000)', word: 'darker above' },
  { value: 'linear-gradient(90deg,#000c,#0000)', word: 'dark from the left' },
  { value: 'linear-gradient(#fffb,#fffb)', word: 'light all over' },
];

/** The picture behind what stands on an element, and the veil over it. */
export function GroundPicture({
  ground,
  onGround,
}: {
  ground: Ground | undefined;
  onGround: (ground: Ground | null) => void;
}): ReactNode {
  const source: Source | undefined = ground?.source;
  const value = source?.is === 'value' ? (source as Typed) : undefined;
  const veil = ground?.veil ?? null;
  return (
    <div className="ground-picture">
      <div className="field-editor">
        {source?.is === 'property' ? (
          <span className="cell-words">a property of this definition</span>
        ) : source?.is === 'field' ? (
          <span className="cell-words">bound to content</span>
        ) : (
          <ImageEditor
            type={IMAGE}
            value={value}
            label="The picture behind"
            placeholder="choose a picture"
            onChange={(next) => onGround(next.value ? { source: literal(next), veil } : null)}
          />
        )}
      </div>
      {ground && source ? (
        <>
          <Ways
            label="The veil over the picture"
            ways={VEILS}
            columns={6}
            chosen={veil ?? ''}
            draw={({ value: css }) => (
              <span className="picture is-veil" style={{ backgroundImage: css }} aria-hidden />
            )}
            onChoose={(css) => onGround({ source, veil: css === '' ? null : css })}
          />
          <button type="button" className="as-link" onClick={() => onGround(null)}>
            take the picture away
          </button>
        </>
      ) : null}
    </div>
  );
}
