import type { Static } from '@sinclair/typebox';
import { LARGEST_EDIT, type Documents } from '../model';
import { say, type Said } from '../said';
import { setActs, setWhen } from './acts/acts';
import { setState } from './acts/states';
import { addAsset, moveAssets, removeAssets, setAsset } from './assets/assets';
import { guardedChanges, isRefusal, type Change, type Refusal } from './changes';
import { makeDefault, setDefault } from './components/defaults';
import { makePlain } from './components/plain/making-plain';
import { exchangeInstances } from './components/exchanging';
import { addProperty } from './components/adding-properties';
import { connect } from './components/connecting';
import { expose, labelProperty, unexpose } from './components/exposing';
import { addComponent, makeComponent } from './components/making';
import { nameComponent, removeComponent } from './components/naming';
import { offerComponent } from './components/offering';
import { setGroup, setProperty } from './components/properties';
import { replaceElement } from './components/replacing';
import { addSlot, setSlot } from './components/slots';
import {
  addEntries,
  addEntry,
  removeEntries,
  setDrafts,
  setTimes,
  setField,
  setFields,
  setSlug,
} from './content/entries';
import { takeContent } from './content/taking';
import { addTypeField, removeTypeField, setTypeField, setTypeGroup } from './content/type-fields';
import { addType, removeType, setType, setView } from './content/types';
import { refuse, type EditKind, type Past } from './define';
import { addPage, removePage, setPage, setPath, setSurround } from './pages/pages';
import { setQuery } from './repeats/queries';
import { repeatNoMore, repeatThis } from './repeats/repeating';
import { addAxis, addRule, removeRule } from './rules/axes';
import { declareRule, setByRule, setLookByRule } from './rules/by-rule';
import { handDifferences } from './rules/handing';
import { addOption, duplicateOption, removeOption, setOption } from './rules/options';
import { newFindings } from './soundness/soundness';
import { addFont, removeFont } from './site/fonts';
import { setGuides, setLine } from './site/guides';
import { setSite, setWidth } from './site/site';
import { declare, declareShared, declareTag } from './style/declaring';
import { setGround } from './style/ground';
import { clearPart, declarePart, markPart } from './style/parts';
import { addStyle, removeStyles, setStyle } from './style/shared-styles';
import { addTheme, putTheme, removeTheme, setInTheme, setTheme } from './style/themes';
import { takeTokens } from './style/taking-tokens';
import { addToken, removeToken, setToken } from './style/tokens';
import { exchangeStyle, wear } from './style/wearing';
import { nameNode } from './tree/naming';
import { paste } from './tree/pasting';
import { move, place, remove } from './tree/placing';
import { makeRich } from './tree/rich';
import { setControl, setControls } from './tree/setting';
import { setTag } from './tree/tags';
import { unwrap, wrap } from './tree/wrapping';
import { bringBack } from './upkeep/bring-back';
import { mend } from './upkeep/mend';
import { revert } from './upkeep/revert';
import { tidy } from './upkeep/tidy';

/** Every named edit, by subject. */
export const EDITS = {
  // Trees.
  place,
  paste,
  move,
  remove,
  nameNode,
  setControl,
  setControls,
  makeRich,
  setTag,
  wrap,
  unwrap,
  setQuery,
  repeatThis,
  repeatNoMore,
  // Style.
  declare,
  declareTag,
  declareShared,
  setGround,
  markPart,
  declarePart,
  clearPart,
  addStyle,
  setStyle,
  removeStyles,
  wear,
  exchangeStyle,
  addToken,
  setToken,
  removeToken,
  takeTokens,
  addTheme,
  setTheme,
  setInTheme,
  removeTheme,
  putTheme,
  // Axes and rules of definitions.
  addAxis,
  addRule,
  removeRule,
  declareRule,
  setByRule,
  setLookByRule,
  handDifferences,
  addOption,
  setOption,
  duplicateOption,
  removeOption,
  // Components.
  addComponent,
  makeComponent,
  makePlain,
  exchangeInstances,
  replaceElement,
  nameComponent,
  offerComponent,
  removeComponent,
  // What definitions do.
  setState,
  setWhen,
  setActs,
  expose,
  unexpose,
  connect,
  addProperty,
  labelProperty,
  setProperty,
  setGroup,
  addSlot,
  setSlot,
  setDefault,
  makeDefault,
  // Pages, content, files.
  addPage,
  removePage,
  setPath,
  setPage,
  setSurround,
  addType,
  setType,
  removeType,
  addTypeField,
  setTypeField,
  removeTypeField,
  setTypeGroup,
  setView,
  addEntry,
  addEntries,
  removeEntries,
  setField,
  setFields,
  setSlug,
  setDrafts,
  setTimes,
  takeContent,
  addAsset,
  setAsset,
  moveAssets,
  removeAssets,
  // The site itself.
  setSite,
  setWidth,
  setGuides,
  setLine,
  addFont,
  removeFont,
  revert,
  bringBack,
  mend,
  tidy,
} as const;

/** The name of an edit. */
export type EditName = keyof typeof EDITS;
/** The arguments of an edit, by its name. */
export type ArgsOf<N extends EditName> = Static<(typeof EDITS)[N]['args']>;

/** An edit as it is sent, kept and repeated: its name and arguments. */
export type NamedEdit = { [N in EditName]: { name: N; args: ArgsOf<N> } }[EditName];

/** What an edit did: its changes, and the documents after it. */
export interface Done {
  readonly changes: Change[];
  readonly documents: Documents;
}

const NO_PAST: Past = () => undefined;

/**
 * What an edit does to these documents, checked for soundness, or why it is refused.
 * @param past what earlier edits did, for taking them back
 */
export function doEdit(
  documents: Documents,
  edit: NamedEdit,
  past: Past = NO_PAST,
): Done | Refusal {
  const kind = EDITS[edit.name] as unknown as EditKind;
  const changes = kind.run(documents, edit.args, past);
  if (isRefusal(changes)) return changes;
  if (changes.length > LARGEST_EDIT)
    return refuse(
      say('too-many-changes', { many: changes.length, most: LARGEST_EDIT }),
      changes[0]!.doc,
    );
  const done = guardedChanges(documents, changes);
  const wrong = done.mismatches[0];
  if (wrong) return refuse(say('not-as-expected'), wrong.change.doc, wrong.change.path);
  const [finding] = newFindings(documents, done.documents, changes);
  return finding
    ? refuse(finding.reason, finding.doc, finding.path)
    : { changes, documents: done.documents };
}

/** The changes an edit makes to these documents, or why it is refused. */
export function runEdit(
  documents: Documents,
  edit: NamedEdit,
  past: Past = NO_PAST,
): Change[] | Refusal {
  const done = doEdit(documents, edit, past);
  return isRefusal(done) ? done : done.changes;
}

/** How the history names an edit. */
export function toldOf(documents: Documents, edit: NamedEdit, past: Past = NO_PAST): Said {
  const kind = EDITS[edit.name] as unknown as EditKind;
  return kind.told(documents, edit.args, past);
}
