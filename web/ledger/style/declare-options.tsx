import { docOf, own, type Documents, type StyleDoc } from '@sormet/core/model';
import {
  helpersFor,
  isNamed,
  lineParts,
  meantBy,
  propertiesFor,
  splitAt,
  stylesInOrder,
  type AppliedBlock,
  type Helper,
} from '@sormet/core/style';
import type { Suggestion } from '../../parts/SuggestField';
import type { Selected } from '../use-selected';
import { offeredValues } from './offered-values';
import { ownValue } from './own-value';
import type { Target } from './declaring';

/** What a line may go on with: letters that are written into it, or something that is put on at once. */
export interface LineOffer extends Suggestion {
  readonly style?: StyleDoc;
  readonly helper?: Helper;
}

/** What is offered stands there: what the line is about. */
export interface LineAbout extends Pick<Target, 'width' | 'state'> {
  readonly documents: Documents;
  readonly selected: Selected;
  readonly rule: AppliedBlock;
}

/**
 * What a line of letters may go on with: shared styles and helpers that begin with them, properties, then values of the
 * property. What would do nothing is not offered.
 */
export function optionsFor(about: LineAbout, typed: string): LineOffer[] {
  if (typed.trim() === '') return [];
  const { letters, value, at, state } = lineParts(typed);
  if (value !== '' || /\s$/.test(typed)) {
    const values = valuesFor(about, typed, letters, value);
    return [...stylesFor(about, typed.trim(), true), ...values];
  }
  // What is put on by itself holds where the ledger stands: a line that says where it holds is no such thing.
  const isElsewhere = at !== undefined || state !== undefined;
  const begins = isElsewhere
    ? []
    : [...stylesFor(about, letters, true), ...helpersThere(about, letters)];
  const properties = propertiesFor(letters)
    .slice(0, 8)
    .map((name) => ({ value: `${name} `, label: name }));
  const holding = isElsewhere ? [] : stylesFor(about, letters, false).slice(0, 4);
  return isNamed(letters)
    ? [...properties, ...begins, ...holding]
    : [...begins, ...properties, ...holding];
}

/** The shared styles whose names begin with letters, or hold them further on, and that can be put on. */
function stylesFor(
  { documents, selected }: LineAbout,
  letters: string,
  first: boolean,
): LineOffer[] {
  const wanted = letters.toLowerCase();
  return wearable(documents, selected)
    .filter(({ name }) => {
      const at = name.toLowerCase().indexOf(wanted);
      return first ? at === 0 : at > 0;
    })
    .map((style) => ({ value: ` ${style.id}`, label: `${style.name} · shared style`, style }));
}

/** The shared styles that can be put on what is selected, and are not on yet. */
export function wearable(documents: Documents, { node, address }: Selected): StyleDoc[] {
  if (address !== undefined || (node.kind !== 'element' && node.kind !== 'instance')) return [];
  const worn = node.shared ?? {};
  return stylesInOrder(documents).flatMap((id) => {
    const style = docOf(documents, 'style', id);
    if (!style || own(worn, id)) return [];
    return style.base === null || own(worn, style.base) ? style : [];
  });
}

function helpersThere(about: LineAbout, letters: string): LineOffer[] {
  return helpersFor(letters)
    .filter(({ declares }) => !declares.every(([property, css]) => saidOf(about, property) === css))
    .map((helper) => ({
      value: ` ${helper.name}`,
      label: (
        <span className="offer">
          {helper.name} <span className="quiet">{helperWords(helper)}</span>
        </span>
      ),
      helper,
    }));
}

/** What a helper declares, in words. */
export function helperWords({ declares }: Helper): string {
  return declares.map(([property, css]) => `${property}: ${css}`).join(', ');
}

/** What the rule that is written says already. */
function saidOf(
  { documents, rule, width, state }: LineAbout,
  property: string,
): string | undefined {
  return ownValue(rule, property, width, state, documents.tokens.tokens);
}

function valuesFor(about: LineAbout, typed: string, letters: string, value: string): LineOffer[] {
  const [property] = meantBy(letters);
  if (property === undefined) return [];
  const open = /\s$/.test(typed) ? '' : (splitAt(value, ' ').at(-1) ?? '').toLowerCase();
  const kept = open === '' ? typed : typed.slice(0, typed.length - open.length);
  const said = saidOf(about, property);
  return offeredValues(property, about.documents.tokens.tokens)
    .filter((offer) => offer.value.toLowerCase().includes(open) && offer.value !== open)
    .filter((offer) => value !== open || offer.value !== said)
    .slice(0, 10)
    .map((offer) => ({
      value: kept + offer.value,
      label: (
        <span className="offer">
          {offer.value} <span className="quiet">{offer.what}</span>
        </span>
      ),
    }));
}
