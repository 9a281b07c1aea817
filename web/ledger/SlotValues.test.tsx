import type { ReactNode } from 'react';
import { screen } from '@testing-library/react';
import { allOf, docOf, type ComponentDoc, type Documents } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { atSite } from '../test/at-site';
import { SlotValues } from './SlotValues';
import type { Selected } from './use-selected';

/** A definition with a slot, and the node where that is. */
function slotted(documents: Documents) {
  for (const component of allOf(documents, 'component'))
    for (const [node, stored] of Object.entries(component.nodes))
      if (stored.kind === 'slot') return { component, slot: stored.slot, node };
  throw new Error('The demo has no slot.');
}

function Slot(): ReactNode {
  const { component, slot, node: id } = slotted(useDerived().documents);
  const node = component.nodes[id]!;
  const selected = { doc: component, id, node } as unknown as Selected;
  return <SlotValues component={component} slot={slot} selected={selected} />;
}

async function there() {
  const at = await atSite(<Slot />);
  const { component, slot } = slotted(at.documents());
  const now = () => (docOf(at.documents(), 'component', component.id) as ComponentDoc).slots[slot]!;
  return { ...at, now };
}

test('a slot is named and limited, and each limit is taken away again', async () => {
  const { user, now } = await there();
  const name = screen.getByRole('textbox', { name: 'Name of the slot' });
  await user.clear(name);
  await user.type(name, 'Cards{Enter}');
  expect(now().label).toBe('Cards');
  const most = screen.getByRole('textbox', { name: /at most/ });
  await user.type(most, '120{Enter}');
  expect(now().most).toBe(120);
  await user.clear(most);
  await user.type(most, '{Enter}');
  expect(now().most).toBeUndefined();
});

test('what comes in lies as a picture says', async () => {
  const { user, documents } = await there();
  await user.click(screen.getByRole('radio', { name: 'two columns alike' }));
  const { component, node } = slotted(documents());
  const around = component.nodes[component.nodes[node]!.place.parent!]!;
  expect(around).toMatchObject({
    style: { display: { css: 'grid' }, 'grid-template-columns': { css: '1fr 1fr' } },
  });
});

test('a name that is none is told where it was typed, and the slot keeps its own', async () => {
  const { user, now } = await there();
  const before = now().label;
  const name = screen.getByRole('textbox', { name: 'Name of the slot' });
  await user.clear(name);
  await user.type(name, '{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent('The label must not be empty.');
  expect(now().label).toBe(before);
});

test('a limit below what stands there already, or that is none, is told where it was typed; nothing of it is lost', async () => {
  const { user, now } = await there();
  const most = screen.getByRole('textbox', { name: /at most/ });
  for (const [typed, told] of [
    ['1', 'would hold more than 1'],
    ['2.5', 'It is a whole number.'],
    ['5000', 'It is 1000 at most.'],
  ] as const) {
    await user.clear(most);
    await user.type(most, `${typed}{Enter}`);
    expect(await screen.findByRole('alert')).toHaveTextContent(told);
    expect(most).toHaveValue(typed);
    expect(now().most).toBeUndefined();
  }
});
