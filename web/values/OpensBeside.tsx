import type { ReactNode } from 'react';
import { SquareArrowOutUpRight } from 'lucide-react';
import { opensBeside } from '@sormet/core/model';
import type { EditorProps } from './editor-props';

/** Whether a link opens in a new tab: pressed, it does or no longer does. */
export function OpensBeside({ value, label, onChange }: EditorProps): ReactNode {
  const link = value?.type === 'link' ? value.value : null;
  if (!link || (link.to !== 'page' && link.to !== 'address')) return null;
  const on = opensBeside(link);
  return (
    <button
      type="button"
      className={on ? 'icon-button is-on' : 'icon-button'}
      aria-label={`${label}: opens in a new tab`}
      aria-pressed={on}
      title={on ? 'Opens in a new tab: press for the same one' : 'Opens in the same tab'}
      onClick={() => {
        const { newTab: _, ...rest } = link;
        onChange({ type: 'link', value: on ? rest : { ...rest, newTab: true } }, null);
      }}
    >
      <SquareArrowOutUpRight size={12} aria-hidden />
    </button>
  );
}
