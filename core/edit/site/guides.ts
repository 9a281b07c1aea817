import { Type, type TSchema } from '@sinclair/typebox';
import { GuideLine, Guides, own, type Documents } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone } from '../define';

const { columns, gutter, margin, widest, baseline } = Guides.properties;
const orWider = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);

/** Sets what the pages of a site are lined up with at one of its widths; `null` leaves it to the next wider one. */
export const setGuides = defineEdit({
  args: Type.Object(
    {
      /** One of the narrower widths, or `base`. */
      width: Id,
      set: Type.Union([
        Type.Object({ columns: orWider(columns) }, exact),
        Type.Object({ gutter: orWider(gutter) }, exact),
        Type.Object({ margin: orWider(margin) }, exact),
        Type.Object({ widest: orWider(widest) }, exact),
        Type.Object({ baseline: orWider(baseline) }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { width, set }) {
    const { id, widths, guides } = documents.site;
    if (width !== 'base' && !own(widths, width)) return gone('the-width', id);
    const [member, value] = Object.entries(set)[0]!;
    if (value === null)
      return own(guides ?? {}, width)
        ? changeTo(documents, id, ['guides', width, member], undefined)
        : [];
    return [
      ...(guides ? [] : changeTo(documents, id, ['guides'], {})),
      ...(own(guides ?? {}, width) ? [] : changeTo(documents, id, ['guides', width], {})),
      ...changeTo(documents, id, ['guides', width, member], value),
    ];
  },
  told: (documents, { width }) => {
    const max = own(documents.site.widths, width)?.max;
    return max === undefined ? say('set-guides') : say('set-guides-at', { max });
  },
});

/** Puts a line into a page or a definition, moves it, or takes it away by `null`. */
export const setLine = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      line: Id,
      /** Where it stands from now on. */
      stands: Type.Union([GuideLine, Type.Null()]),
    },
    exact,
  ),
  run(documents, { doc: id, line, stands }) {
    const doc = documents.get(id);
    if (doc?.kind !== 'page' && doc?.kind !== 'component') return gone('the-document', id);
    const isThere = own(doc.lines ?? {}, line) !== undefined;
    if (stands === null)
      return isThere ? changeTo(documents, id, ['lines', line], undefined) : gone('the-line', id);
    if (stands.width !== 'base' && !own(documents.site.widths, stands.width))
      return gone('the-width', id);
    return [
      ...(doc.lines ? [] : changeTo(documents, id, ['lines'], {})),
      ...changeTo(documents, id, ['lines', line], stands),
    ];
  },
  told(documents, { doc, line, stands }) {
    if (stands === null) return say('took-line');
    return isThereIn(documents, doc, line)
      ? say('moved-line', { at: stands.at })
      : say('put-line', { at: stands.at });
  },
});

function isThereIn(documents: Documents, doc: string, line: string): boolean {
  const stored = documents.get(doc);
  return (
    (stored?.kind === 'page' || stored?.kind === 'component') &&
    own(stored.lines ?? {}, line) !== undefined
  );
}
