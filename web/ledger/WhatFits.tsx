import { useState, type ReactNode } from 'react';
import { Button, Checkbox } from 'antd';
import { newId, repeatsAround, type Documents, type Source } from '@sormet/core/model';
import { fitsOfType, repeatedType, type ControlRow, type Fit } from '@sormet/core/edit';
import { useDerived, useSync } from '../site/SiteProvider';
import { boundKey, fittingFields } from '../values/fields';
import { ChoiceCell } from '../parts/ChoiceCell';
import type { Selected } from './use-selected';
import { count } from '../words';
import { holdsAt } from './what-shows';

type FieldSource = Extract<Source, { is: 'field' }>;

/** What gives entries where something is selected: the nearest repeat, else the page; nothing where none does. */
function giverOf(
  documents: Documents,
  { doc, id }: Selected,
): { type: string; from: FieldSource['from'] } | undefined {
  for (const repeat of repeatsAround(doc, id)) {
    const type = repeatedType(documents, doc, repeat);
    if (type !== undefined) return { type, from: { repeat } };
  }
  return doc.kind === 'page' && doc.entries !== null
    ? { type: doc.entries, from: 'page' }
    : undefined;
}

/**
 * Offers a field for every value of what is selected at once: what fits by its name or its kind, to accept or change.
 * The button stands in the head of the column, the offers above the table.
 */
export function useWhatFits(selected: Selected): { button: ReactNode; offers: ReactNode } {
  const { documents } = useDerived();
  const sync = useSync();
  const [offers, setOffers] = useState<readonly (Fit & { taken: boolean })[] | null>(null);
  const giver = giverOf(documents, selected);
  if (!giver) return { button: null, offers: null };
  const { doc, id } = selected;
  const offer = () =>
    setOffers(
      fitsOfType(documents, doc, id, giver.type, giver.from).map((fit) => ({
        ...fit,
        taken: true,
      })),
    );
  const change = (at: number, next: Partial<Fit & { taken: boolean }>) =>
    setOffers(offers!.map((each, i) => (i === at ? { ...each, ...next } : each)));
  if (!offers)
    return {
      button: (
        <button type="button" className="as-link" onClick={offer}>
          what fits
        </button>
      ),
      offers: null,
    };
  const taken = offers.filter((each) => each.taken);
  const bind = () => {
    // One after the other in one group: one step to undo.
    const group = `fits ${newId()} 1`;
    for (const { row, source } of taken)
      sync.edit(
        { name: 'setControl', args: { doc: doc.id, node: row.node, control: row.control, source } },
        { group },
      );
    setOffers(null);
  };
  const panel = (
    <div className="what-fits" role="group" aria-label="What fits">
      {offers.length === 0 ? (
        <span className="quiet">No field fits a value that is not bound already.</span>
      ) : null}
      {offers.map(({ row, label, source, taken: on }, i) => {
        const fields = fittingFields(documents, doc, row.node, row.type);
        return (
          <span key={row.node + JSON.stringify(row.control)} className="fit">
            <Checkbox checked={on} onChange={({ target }) => change(i, { taken: target.checked })}>
              {labelOf(row)}
            </Checkbox>
            <ChoiceCell
              label={`${labelOf(row)}, to be bound to`}
              chosen={boundKey(source)}
              placeholder={label}
              options={fields.map((field) => ({ value: field.key, label: field.label }))}
              onChoose={(key) => {
                const field = fields.find((each) => each.key === key)!;
                change(i, { source: field.source, label: field.label, taken: true });
              }}
            />
            <span className="bound-holds">{holdsAt(documents, selected, row.type)?.(source)}</span>
          </span>
        );
      })}
      <span className="fit-actions">
        <Button size="small" type="primary" disabled={taken.length === 0} onClick={bind}>
          Bind {count(taken.length, 'value')}
        </Button>
        <Button size="small" type="text" onClick={() => setOffers(null)}>
          leave it
        </Button>
      </span>
    </div>
  );
  return { button: null, offers: panel };
}

/** What a control is called where what is selected is known: a property by its own name. */
function labelOf({ control, what, label }: ControlRow): string {
  return control.of === 'value' ? what[0]!.toUpperCase() + what.slice(1) : label;
}
