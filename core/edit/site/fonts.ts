import { Type } from '@sinclair/typebox';
import { docOf, Font, own } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';

/** Gives the site a face of a font: a file of its own that it ships with from now on. */
export const addFont = defineEdit({
  args: Type.Object({ id: Id, font: Font }, exact),
  run(documents, { id, font }) {
    const { id: site, fonts } = documents.site;
    if (own(fonts, id)) return refuse(say('id-taken'), site);
    const file = docOf(documents, 'asset', font.asset);
    if (!file) return gone('the-file', site);
    if (file.mediaType !== 'font/woff2') return refuse(say('file-is-no-font'), site);
    const isThere = Object.values(fonts).some(
      (each) =>
        each.family.toLowerCase() === font.family.toLowerCase() &&
        each.weight === font.weight &&
        each.style === font.style &&
        each.range === font.range,
    );
    if (isThere) return refuse(say('font-is-there', { family: font.family }), site);
    return changeTo(documents, site, ['fonts', id], font);
  },
  told: (_, { font }) => say('added-font', { family: font.family }),
});

/** Takes a face of a font away. Words set in it show in what comes next in their list. */
export const removeFont = defineEdit({
  args: Type.Object({ id: Id }, exact),
  run(documents, { id }) {
    const { id: site, fonts } = documents.site;
    return own(fonts, id)
      ? changeTo(documents, site, ['fonts', id], undefined)
      : gone('the-font', site);
  },
  told: (documents, { id }) =>
    say('took-font', { family: own(documents.site.fonts, id)?.family ?? say('the-font') }),
});
