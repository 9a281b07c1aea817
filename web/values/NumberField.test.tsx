import { useState, type ReactNode } from 'react';
import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { makeStore } from '../store/store';
import { NumberField } from './NumberField';
import { useSayLost } from './use-say-lost';

const given = jest.fn();

/** A field that begins with a number. */
function Held({ language = 'de' }: { language?: string }) {
  const sayLost = useSayLost();
  const [value, setValue] = useState<number | null>(2);
  return (
    <NumberField
      label="Steps"
      lost={sayLost}
      language={language}
      least={1}
      most={9}
      value={value}
      onChange={(next) => {
        given(next);
        setValue(next);
      }}
    />
  );
}

function there(field: ReactNode) {
  const store = makeStore();
  return { store, ...render(<Provider store={store}>{field}</Provider>) };
}

test('takes a comma where the language writes one, gives no more than it may, steps by arrows and never by the wheel', async () => {
  const user = userEvent.setup();
  there(<Held />);
  const field = screen.getByRole('textbox', { name: 'Steps' });
  await user.clear(field);
  await user.type(field, '2,5');
  expect(given).toHaveBeenLastCalledWith(2.5);
  await user.keyboard('{ArrowUp}');
  expect(given).toHaveBeenLastCalledWith(3.5);
  expect(field).toHaveValue('3,5');
  fireEvent.wheel(field, { deltaY: -100 });
  expect(field).toHaveValue('3,5');
  await user.clear(field);
  await user.type(field, '8');
  await user.keyboard('{ArrowUp}{ArrowUp}{ArrowUp}');
  expect(field).toHaveValue('9');
});

test('what it does not take stays as it was typed, is said, and goes with Escape; where the field is gone by then, that is said too', async () => {
  const user = userEvent.setup();
  const { store, unmount } = there(<Held language="en" />);
  const field = screen.getByRole('textbox', { name: 'Steps' });
  await user.clear(field);
  given.mockClear();
  await user.type(field, '2,5{Enter}');
  expect(field).toHaveValue('2,5');
  expect(screen.getByText('“2,5” is no number.')).toBeVisible();
  expect(given).not.toHaveBeenCalledWith(25);
  await user.keyboard('{Escape}');
  expect(screen.queryByText('“2,5” is no number.')).toBeNull();
  await user.clear(field);
  await user.type(field, '12');
  unmount();
  expect(store.getState().bench.notice).toBe('“12” was not kept. It is 9 at most.');
});
