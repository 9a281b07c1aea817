import { keep, kept } from '../../store/kept';

/** The parts of the shelf. */
export const PARTS = ['all', 'ready', 'components', 'elements', 'fields'] as const;
export type ShelfPart = (typeof PARTS)[number];

/** How this browser shows the shelf. */
export interface ShelfLook {
  readonly part: ShelfPart;
  /** Whether things are shown by pictures in the place of words. */
  readonly pictures: boolean;
}

const KEY = 'sormet.shelf';
const PLAIN: ShelfLook = { part: 'all', pictures: false };

/** How the shelf was shown last. */
export function keptShelf(): ShelfLook {
  return kept(
    KEY,
    (stored) => {
      const { part, pictures } = (stored ?? {}) as Partial<Record<keyof ShelfLook, unknown>>;
      return {
        part: PARTS.find((each) => each === part) ?? PLAIN.part,
        pictures: pictures === true,
      };
    },
    PLAIN,
  );
}

/** Keeps how the shelf is shown. */
export function keepShelf(look: ShelfLook): void {
  keep(KEY, look);
}
