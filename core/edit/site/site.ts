import { Type } from '@sinclair/typebox';
import {
  DEFAULT_ZONE,
  docOf,
  isTheme,
  Inbox,
  isTimeZone,
  own,
  SiteDoc,
  TIME_ZONE_PATTERN,
} from '../../model';
import { say } from '../../said';
import { exact, Id, Label } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';
import { themeName } from '../style/themes';

const TimeZone = Type.String({ pattern: TIME_ZONE_PATTERN, maxLength: 60, says: 'time-zone-form' });

/** Sets what is said of the site as a whole. */
export const setSite = defineEdit({
  args: Type.Object(
    {
      set: Type.Union([
        Type.Object({ name: Label }, exact),
        Type.Object({ slug: SiteDoc.properties.slug }, exact),
        Type.Object({ language: SiteDoc.properties.language }, exact),
        Type.Object({ timeZone: Type.Union([TimeZone, Type.Null()]) }, exact),
        Type.Object({ inbox: Type.Union([Inbox, Type.Null()]) }, exact),
        Type.Object({ surround: Type.Union([Id, Type.Null()]) }, exact),
        Type.Object({ theme: Type.Union([Id, Type.Null()]) }, exact),
        Type.Object({ icon: Type.Union([Id, Type.Null()]) }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { set }) {
    const { id } = documents.site;
    if ('inbox' in set) return changeTo(documents, id, ['inbox'], keptInbox(set.inbox));
    const [member, value] = Object.entries(set)[0]!;
    if ('icon' in set && set.icon !== null && !docOf(documents, 'asset', set.icon))
      return gone('the-picture', id);
    if ('theme' in set && set.theme !== null && !isTheme(documents.tokens.themes, set.theme))
      return gone('the-theme', id);
    if ('timeZone' in set && set.timeZone !== null && !isTimeZone(set.timeZone))
      return refuse(say('no-time-zone', { zone: set.timeZone }), id, '/timeZone');
    // Only whether there is a surround is said by none: an icon that is taken away is not there.
    const now = member === 'surround' ? value : (value?.trim() ?? undefined);
    return changeTo(documents, id, [member], now);
  },
  told(documents, { set }) {
    if ('surround' in set)
      return set.surround === null
        ? say('left-without-surround')
        : say('made-surround', { component: componentName(documents, set.surround) });
    if ('theme' in set)
      return set.theme === null
        ? say('left-without-theme')
        : say('put-site-in-theme', { theme: themeName(documents, set.theme) });
    if ('inbox' in set) return say('set-inbox');
    const [member, value] = Object.entries(set)[0]!;
    if (member === 'icon') return say('set-icon');
    if ('timeZone' in set) return say('set-time-zone', { zone: set.timeZone ?? DEFAULT_ZONE });
    const what = member === 'slug' ? say('the-address-of-site') : member;
    return say('set-of-site', { what, value: value ?? '' });
  },
});

/** What is said of an inbox; nothing where that is nothing. */
function keptInbox(inbox: Inbox | null): Inbox | undefined {
  return inbox && Object.keys(inbox).length > 0 ? inbox : undefined;
}

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
    if (max === null && !own(widths, width)) return gone('the-width', id);
    const other = Object.keys(widths).find((each) => each !== width && widths[each]!.max === max);
    if (max !== null && other !== undefined)
      return refuse(say('width-taken', { max }), id, '/widths');
    return changeTo(documents, id, ['widths', width], max === null ? undefined : { max });
  },
  told(documents, { width, max }) {
    const before = own(documents.site.widths, width)?.max;
    if (max === null) return say('took-width', { max: before ?? 0 });
    return before === undefined
      ? say('added-width', { max })
      : say('changed-width', { before, max });
  },
});
