import type { ReactNode } from 'react';
import { screen } from '@testing-library/react';
import { controlsOf } from '@sormet/core/edit';
import { docOf, own, type Documents, type Typed } from '@sormet/core/model';
import { useDerived, useSync } from '../../site/SiteProvider';
import { atSite } from '../../test/at-site';
import { useConnecting } from './Connecting';

const COMPONENT = 'mender-card';

/** The controls of the definition that show a text of a property, and the properties. */
const shown = (documents: Documents) => {
  const component = docOf(documents, 'component', COMPONENT)!;
  const rows = controlsOf(documents, component).filter(({ control }) => control.of === 'text');
  return { component, rows };
};

/** Two texts of a definition: the second is taken back, so that it holds its own, and connected with the first's property. */
function Connecting(): ReactNode {
  const sync = useSync();
  const { documents } = useDerived();
  const { component, rows } = shown(documents);
  const { connect, asked } = useConnecting(component);
  const [first, second] = rows;
  const property = first!.source?.is === 'property' ? first!.source.property : '';
  const other = second!.source?.is === 'property' ? second!.source.property : '';
  return (
    <>
      <button
        type="button"
        onClick={() =>
          sync.edit({ name: 'unexpose', args: { component: COMPONENT, properties: [other] } })
        }
      >
        take back
      </button>
      <button type="button" onClick={() => connect(property, [second!])}>
        connect
      </button>
      {asked}
    </>
  );
}

async function asked() {
  const there = await atSite(<Connecting />);
  await there.user.click(screen.getByRole('button', { name: 'take back' }));
  const { rows, component } = shown(there.documents());
  const [first, second] = rows;
  const property = first!.source?.is === 'property' ? first!.source.property : '';
  const held = (second!.source as Typed).value as string;
  const byDefault = (own(component.properties, property)!.default as Typed).value as string;
  await there.user.click(screen.getByRole('button', { name: 'connect' }));
  const dialog = await screen.findByRole('dialog', { name: /^Connect with/ });
  const now = () => {
    const after = shown(there.documents());
    return {
      source: after.rows[1]!.source,
      byDefault: (own(after.component.properties, property)!.default as Typed).value,
    };
  };
  return { ...there, dialog, property, held, byDefault, now };
}

test('both values stand there before one of them is lost', async () => {
  const { dialog, held, byDefault } = await asked();
  expect(held).not.toBe(byDefault);
  expect(dialog).toHaveTextContent(held);
  expect(dialog).toHaveTextContent(byDefault);
});

test('left as it is, nothing is changed', async () => {
  const { user, now, held, byDefault } = await asked();
  await user.click(screen.getByRole('button', { name: 'Leave it as it is' }));
  expect(now()).toMatchObject({ source: { is: 'value', value: held }, byDefault });
});

test('it shows what the property has', async () => {
  const { user, now, byDefault, property } = await asked();
  await user.click(screen.getByRole('button', { name: 'Show what the property has' }));
  expect(now()).toMatchObject({
    source: { is: 'property', property },
    byDefault,
  });
});

test('the property takes what stands there as its default', async () => {
  const { user, now, held, property } = await asked();
  await user.click(screen.getByRole('button', { name: 'Make what stands there the default' }));
  expect(now()).toMatchObject({ source: { is: 'property', property }, byDefault: held });
});
