import { useState, type ReactNode } from 'react';
import { allOf, docOf, type ComponentDoc } from '@sormet/core/model';
import { elementMatching, matchingOf } from '@sormet/core/edit';
import type { Told } from '@sormet/core/said';
import type { Selected } from '../../ledger/use-selected';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { Dialog } from '../../parts/Dialog';
import { Wrong } from '../../parts/Wrong';
import { useDerived } from '../../site/SiteProvider';
import { toldWords } from '../../words';

/** Chooses what comes in the place of something, with what of that goes over and what has no place in it. */
export function Exchange({
  title,
  without,
  matches,
  wrong = '',
  onDo,
  onClose,
}: {
  title: string;
  /** The component that is not offered: the one that is there, or in whose definition it stands. */
  without: string;
  matches: (to: ComponentDoc) => ReactNode;
  /** Why it was not done. */
  wrong?: string;
  onDo: (component: string) => void;
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const [to, setTo] = useState<string | undefined>(undefined);
  const chosen = to === undefined ? undefined : docOf(documents, 'component', to);
  const others = allOf(documents, 'component')
    .filter(({ id }) => id !== without && id !== documents.site.surround)
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  return (
    <Dialog
      open
      title={title}
      okText="Put it there"
      okButtonProps={{ disabled: !chosen }}
      cancelText="Leave it"
      onOk={() => chosen && onDo(chosen.id)}
      onCancel={onClose}
    >
      <ChoiceCell
        label="What comes in its place"
        chosen={to}
        placeholder="choose a component"
        options={others.map(({ id, name }) => ({ value: id, label: name }))}
        onChoose={setTo}
      />
      {chosen ? matches(chosen) : null}
      <Wrong as="p" words={wrong} />
    </Dialog>
  );
}

/** What of an element goes into a component, and what has no place there. */
export function ElementMatches({
  of: { doc, id },
  to,
}: {
  of: Selected;
  to: ComponentDoc;
}): ReactNode {
  const { documents } = useDerived();
  const { goes, unmatched } = elementMatching(documents, doc, id, to);
  return <GoesOver goes={goes} unmatched={unmatched} />;
}

/** What of one component goes into another, and what has no place there. */
export function Matches({
  from,
  to,
}: {
  from: ComponentDoc;
  to: ComponentDoc | undefined;
}): ReactNode {
  if (!to) return null;
  const { properties, unmatched } = matchingOf(from, to);
  const goes = [...properties].map(
    ([old, made]) => [from.properties[old]!.label, to.properties[made]!.label] as const,
  );
  return <GoesOver goes={goes} unmatched={unmatched} />;
}

function GoesOver({
  goes,
  unmatched,
}: {
  goes: readonly (readonly [string, string])[];
  unmatched: readonly Told[];
}): ReactNode {
  return (
    <>
      {goes.length > 0 ? (
        <p>Goes over: {goes.map(([a, b]) => (a === b ? a : `${a} as ${b}`)).join(', ')}.</p>
      ) : null}
      {unmatched.length > 0 ? (
        <p>Has no place there: {unmatched.map(toldWords).join(', ')}.</p>
      ) : null}
    </>
  );
}
