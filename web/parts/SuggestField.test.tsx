import { useState, type ReactNode } from 'react';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { SuggestField } from './SuggestField';

const NAMES = ['Heading', 'Helper', 'Picture'];

function Field({
  onEnter,
  onChoose,
}: {
  onEnter: () => void;
  onChoose: (value: string) => void;
}): ReactNode {
  const [value, setValue] = useState('');
  return (
    <SuggestField
      label="What to place"
      value={value}
      suggestions={NAMES.filter((name) => name.toLowerCase().startsWith(value)).map((name) => ({
        value: name,
        label: name,
      }))}
      onType={setValue}
      onChoose={onChoose}
      onEnter={onEnter}
    />
  );
}

/** WAI-ARIA Authoring Practices Guide, “Editable Combobox With List Autocomplete”. */
test('it is a combobox: arrows walk the list, the active suggestion is told, Enter takes it', async () => {
  const user = userEvent.setup();
  const onChoose = jest.fn();
  const onEnter = jest.fn();
  render(<Field onChoose={onChoose} onEnter={onEnter} />);
  const field = screen.getByRole('combobox', { name: 'What to place' });
  await user.type(field, 'he');
  expect(field).toHaveAttribute('aria-expanded', 'true');
  expect(await screen.findAllByRole('option')).toHaveLength(2);
  await user.keyboard('{ArrowDown}{ArrowDown}');
  const active = screen.getByRole('option', { name: 'Helper' });
  expect(field).toHaveAttribute('aria-activedescendant', active.id);
  expect(active).toHaveAttribute('aria-selected', 'true');
  await user.keyboard('{Enter}');
  expect(onChoose).toHaveBeenCalledWith('Helper');
  expect(onEnter).not.toHaveBeenCalled();
});

test('Enter without walking does what was typed, Escape closes the list and keeps the words', async () => {
  const user = userEvent.setup();
  const onChoose = jest.fn();
  const onEnter = jest.fn();
  render(<Field onChoose={onChoose} onEnter={onEnter} />);
  const field = screen.getByRole('combobox', { name: 'What to place' });
  await user.type(field, 'pic{Escape}');
  expect(field).toHaveAttribute('aria-expanded', 'false');
  expect(field).toHaveValue('pic');
  await user.keyboard('{Enter}');
  expect(onEnter).toHaveBeenCalledTimes(1);
  expect(onChoose).not.toHaveBeenCalled();
});
