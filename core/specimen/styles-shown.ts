import { docOf, type Documents, type State, type StyleDoc } from '../model';
import type { Branch } from '../ready';
import { keyParts, stylesInOrder } from '../style';
import { caption, row } from './pieces';
import type { As } from './stands';

/** How many combinations of modifiers of one base are shown. */
const MOST_COMBINED = 24;

const STATES_SHOWN: readonly State[] = [':hover', ':focus-visible', ':active'];

/** Every shared style, its modifiers combined as they go together, and in the states that they say something of. */
export function stylesShown(documents: Documents, as: As): Branch[] {
  const styles = stylesInOrder(documents).flatMap((id) => docOf(documents, 'style', id) ?? []);
  if (styles.length === 0) return [];
  const bases = styles.filter(({ base }) => base === null);
  return [
    caption('Shared styles'),
    ...bases.flatMap((base) => {
      const modifiers = styles.filter((style) => style.base === base.id);
      if (modifiers.length === 0) return [worn(as, base, [base])];
      return [
        caption(base.name),
        row(
          ...combinations(modifiers)
            .slice(0, MOST_COMBINED)
            .map((chosen) => worn(as, chosen[0] ?? base, [base, ...chosen])),
        ),
        row(
          ...STATES_SHOWN.filter((state) =>
            [base, ...modifiers].some(({ style }) =>
              Object.keys(style).some((key) => keyParts(key).state === state),
            ),
          ).map((state) =>
            worn(as, modifiers[0]!, [base, ...(combinations(modifiers)[0] ?? [])], state),
          ),
        ),
      ];
    }),
  ];
}

/** Something that has styles on, and says which. */
function worn(as: As, style: StyleDoc, on: readonly StyleDoc[], held?: State): Branch {
  const names = on.length > 1 ? on.slice(1).map(({ name }) => name) : on.map(({ name }) => name);
  return {
    id: as({ is: 'style', style: style.id, ...(held ? { held } : {}) }),
    tag: 'div',
    shared: Object.fromEntries(on.map(({ id }) => [id, true as const])),
    text: held ? `${names.join(', ')}: ${held.slice(1)}` : names.join(', '),
  };
}

/**
 * Modifiers that go together, one of each family: two that say something of the same property are of one family (a look
 * and a look), others are of two (a look and a size).
 */
export function combinations(modifiers: readonly StyleDoc[]): StyleDoc[][] {
  const families: { properties: Set<string>; of: StyleDoc[] }[] = [];
  for (const modifier of modifiers) {
    const properties = new Set(Object.keys(modifier.style).map((key) => keyParts(key).property));
    const alike = families.filter((family) =>
      [...properties].some((p) => family.properties.has(p)),
    );
    const merged = {
      properties: new Set([...alike.flatMap((each) => [...each.properties]), ...properties]),
      of: [...alike.flatMap((each) => each.of), modifier],
    };
    families.splice(
      0,
      families.length,
      ...families.filter((each) => !alike.includes(each)),
      merged,
    );
  }
  return families.reduce<StyleDoc[][]>(
    (found, { of }) => found.flatMap((chosen) => of.map((each) => [...chosen, each])),
    [[]],
  );
}
