import { Type } from '@sinclair/typebox';
import { docOf, isTheme, own, SiteDoc } from '../../model';
import { exact, Id, Label } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';
import { themeName } from '../style/themes';

/** Sets what is said of the site as a whole. */
export const setSite = defineEdit({
  args: Type.Object(
    {
      set: Type.Union([
        Type.Object({ name: Label }, exact),
        Type.Object({ slug: SiteDoc.properties.slug }, exact),
        Type.Object({ language: SiteDoc.properties.language }, exact),
        Type.Object({ surround: Type.Union([Id, Type.Null()]) }, exact),
        Type.Object({ theme: Type.Union([Id, Type.Null()]) }, exact),
        Type.Object({ icon: Type.Union([Id, Type.Null()]) }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { set }) {
    const { id } = documents.site;
    const [member, value] = Object.entries(set)[0]!;
    if ('icon' in set && set.icon !== null && !docOf(documents, 'asset', set.icon))
      return gone('The picture', id);
    if ('theme' in set && set.theme !== null && !isTheme(documents.tokens.themes, set.theme))
      return gone('The theme', id);
    // Only whether there is a surround is said by none: an icon that is taken away is not there.
    const now = member === 'surround' ? value : (value?.trim() ?? undefined);
    return changeTo(documents, id, [member], now);
  },
  says(documents, { set }) {
    if ('surround' in set)
      return set.surround === null
        ? 'left new pages without a surround'
        : `made ${componentName(documents, set.surround)} the surround of new pages`;
    if ('theme' in set)
      return set.theme === null
        ? 'left the site in no theme'
        : `put the whole site in the theme ${themeName(documents, set.theme)}`;
    const [member, value] = Object.entries(set)[0]!;
    const what = member === 'slug' ? 'address' : member;
    return member === 'icon'
      ? 'set the icon of the site'
      : `set the ${what} of the site to ${value}`;
  },
});

/** Gives the site a narrower width, or another largest viewport to one; `null` takes it away. */
export const setWidth = defineEdit({
  args: Type.Object(
    {
      width: Id,
      max: Type.Union([Type.Integer({ minimum: 200, maximum: 4000 }), Type.Null()]),
    },
    exact,
  ),
  run(documents, { width, max }) {
    const { id, widths } = documents.site;
    if (max === null && !own(widths, width)) return gone('The width', id);
    const other = Object.keys(widths).find((each) => each !== width && widths[each]!.max === max);
    if (other !== undefined) return refuse(`There is a width of ${max} px already.`, id, '/widths');
    return changeTo(documents, id, ['widths', width], max === null ? undefined : { max });
  },
  says(documents, { width, max }) {
    const before = own(documents.site.widths, width)?.max;
    if (max === null) return `took away the width of ${before} px`;
    return before === undefined
      ? `added a width of ${max} px`
      : `made the width of ${before} px ${max} px`;
  },
});
