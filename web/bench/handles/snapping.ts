import { groupOf, type Token, type TokenGroup } from '@sormet/core/model';
import { filled } from '@sormet/core/style';

/** How near something has to come to be held, in CSS px of the page. */
const NEAR = 4;

/** A step of a scale of the site, in px. */
export interface ScaleStep {
  readonly name: string;
  readonly px: number;
}

/** The tokens of a group that are lengths of one size everywhere. */
export function scaleOf(
  tokens: Readonly<Record<string, Token>>,
  group: TokenGroup,
): readonly ScaleStep[] {
  return Object.values(tokens).flatMap((token) => {
    if (groupOf(token) !== group) return [];
    const [, number, unit] =
      /^(\d+\.?\d*|\.\d+)(px|rem)$/.exec(filled(token.value, tokens) ?? '') ?? [];
    return number === undefined
      ? []
      : [{ name: token.name, px: Number(number) * (unit === 'rem' ? 16 : 1) }];
  });
}

/** A length while it is dragged: what is written, and how it is told. */
export interface Snapped {
  readonly typed: string;
  readonly told: string;
}

/** A length, held by the nearest step of a scale where that is near; whole px else. */
export function snapped(px: number, scale: readonly ScaleStep[]): Snapped {
  const whole = Math.max(0, Math.round(px));
  const [nearest] = scale
    .map((step) => ({ step, far: Math.abs(step.px - px) }))
    .filter(({ far }) => far <= NEAR)
    .sort((a, b) => a.far - b.far);
  return nearest
    ? {
        typed: `{${nearest.step.name}}`,
        told: `${nearest.step.name} · ${Math.round(nearest.step.px)}px`,
      }
    : { typed: `${whole}px`, told: `${whole}px` };
}

/** A length that something else holds: to a hundredth of a px, so that what is drawn meets it. */
export function heldExactly(px: number): Snapped {
  const css = `${Math.max(0, Math.round(px * 100) / 100)}px`;
  return { typed: css, told: css };
}
