import { screen, within } from '@testing-library/react';
import { atSite } from '../../test/at-site';
import { RosterScreen } from './RosterScreen';

// jsdom lays nothing out: the table is as high as twenty rows.
beforeAll(() => {
  for (const [name, value] of [
    ['clientHeight', 560],
    ['clientWidth', 1200],
  ] as const)
    Object.defineProperty(HTMLElement.prototype, name, { configurable: true, value });
});

const atRoster = async () => {
  const there = await atSite(<RosterScreen />, {
    path: 'library/mender-card',
    route: 'library/:component',
  });
  const grid = await screen.findByRole('grid');
  grid.focus();
  return { ...there, grid };
};

const chosen = (grid: HTMLElement) =>
  within(grid)
    .getAllByRole('gridcell')
    .filter((cell) => cell.getAttribute('aria-selected') === 'true');

test('keys walk the cells, Shift selects more of a column, and the grid says where one is', async () => {
  const { user, grid } = await atRoster();
  expect(grid).toHaveAttribute('aria-activedescendant', 'roster-0-0');
  await user.keyboard('{ArrowDown}{ArrowRight}');
  expect(grid).toHaveAttribute('aria-activedescendant', 'roster-1-1');
  await user.keyboard('{Shift>}{ArrowDown}{ArrowDown}{/Shift}');
  expect(chosen(grid)).toHaveLength(3);
  await user.keyboard('{Control>}{Home}{/Control}');
  expect(grid).toHaveAttribute('aria-activedescendant', 'roster-0-0');
});

test('what is filled down is one step, and Delete goes back to the default', async () => {
  const { user, grid, store } = await atRoster();
  await user.keyboard('{Shift>}{ArrowDown}{ArrowDown}{/Shift}');
  const before = chosen(grid).map((cell) => cell.textContent);
  await user.keyboard('{Control>}d{/Control}');
  expect(chosen(grid).map((cell) => cell.textContent)).toEqual([before[0], before[0], before[0]]);
  expect(store.getState().site.undo).toHaveLength(1);
  await user.keyboard('{Delete}');
  for (const cell of chosen(grid)) expect(cell).toHaveClass('is-default');
  expect(store.getState().site.undo).toHaveLength(2);
});

test('typing writes over the cell, Enter goes on below, Escape leaves it', async () => {
  const { user, grid } = await atRoster();
  await user.keyboard('New words{Enter}');
  expect(within(grid).getByText('New words')).toBeInTheDocument();
  expect(grid).toHaveFocus();
  expect(grid).toHaveAttribute('aria-activedescendant', 'roster-1-0');
  await user.keyboard('{Enter}');
  expect(within(grid).getByRole('textbox')).toHaveFocus();
  await user.keyboard('{Escape}');
  expect(within(grid).queryByRole('textbox')).toBeNull();
});
