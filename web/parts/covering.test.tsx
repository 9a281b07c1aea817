import { useState, type ReactNode } from 'react';
import { fireEvent, render, screen } from '@testing-library/react';
import { isCovered, useCovering, wasCovered } from './covering';

const heard: boolean[] = [];

function Over({ open }: { open: boolean }): ReactNode {
  const [isOpen, setOpen] = useState(open);
  useCovering(isOpen);
  return (
    <input
      aria-label="below"
      onKeyDown={() => {
        setOpen(false);
        heard.push(wasCovered());
      }}
    />
  );
}

test('the key that closes what lies over the page was still for that, the next one is not', () => {
  render(<Over open />);
  expect(isCovered()).toBe(true);
  fireEvent.keyDown(screen.getByRole('textbox'), { key: 'Escape' });
  expect(isCovered()).toBe(false);
  fireEvent.keyDown(screen.getByRole('textbox'), { key: 'Escape' });
  expect(heard).toEqual([true, false]);
});

test('what is taken away while it is open covers nothing any more; two are two', () => {
  const first = render(<Over open />);
  const second = render(<Over open />);
  first.unmount();
  expect(isCovered()).toBe(true);
  second.unmount();
  expect(isCovered()).toBe(false);
});
