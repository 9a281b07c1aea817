import { render, screen } from '@testing-library/react';
import { HeadedTable } from './HeadedTable';

test('every column has a head, also where only readers of the screen are told its word', () => {
  render(
    <HeadedTable
      label="Values"
      heads={[
        { unseen: 'Group' },
        'Property',
        { name: 'Set here', width: 'wide', title: 'By you' },
      ]}
    >
      <tbody />
    </HeadedTable>,
  );
  const heads = screen.getAllByRole('columnheader');
  expect(heads.map(({ textContent }) => textContent)).toEqual(['Group', 'Property', 'Set here']);
  expect(screen.getByText('Group')).toHaveClass('for-readers');
  expect(heads[2]).toHaveClass('wide');
  expect(heads[2]).toHaveAttribute('title', 'By you');
  expect(screen.getByRole('table', { name: 'Values' })).toBeInTheDocument();
});
