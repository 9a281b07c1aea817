import type { Announcements, DndContextProps } from '@dnd-kit/core';

/**
 * What is said while something is dragged to whoever does not see it, in the words of people: the package would say ids.
 * @param words what something is called by its data; nothing where it has no name
 */
export function saidWhileDragging(
  words: (data: unknown) => string,
): NonNullable<DndContextProps['accessibility']> {
  const of = (what: { readonly data: { readonly current?: unknown } } | null) =>
    what ? words(what.data.current) : '';
  const onto = (name: string) => (name === '' ? '' : ` onto ${name}`);
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${of(active)} is dragged.`,
    onDragOver: ({ active, over }) => `${of(active)} is dragged${onto(of(over))}.`,
    onDragEnd: ({ active, over }) => `${of(active)} was let go${onto(of(over))}.`,
    onDragCancel: ({ active }) => `${of(active)} stays where it was.`,
  };
  // Nothing is dragged by keys: the menus and the go line move things.
  return { announcements, screenReaderInstructions: { draggable: '' } };
}
