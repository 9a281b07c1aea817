import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import {
  inOrder,
  literal,
  newId,
  own,
  type PageDoc,
  type Property,
  type PropertyId,
} from '@sormet/core/model';
import { mayBeSet, shortName } from '@sormet/core/edit';
import { groupsOf } from '../../parts/grouped/groups-of';
import { useDerived, useSync } from '../../site/SiteProvider';
import { LimitWords } from '../../values/LimitWords';
import { ShowValue } from '../../values/show-value';
import { sourceWords } from '../../values/source-words';
import { ValueEditor } from '../../values/ValueEditor';
import { FilledSlot } from './FilledSlot';
import type { Section } from './sections';

/** One section of a page as a form: what it shows, with what each is for, and what stands in its slots. */
export function EditedSection({
  page,
  section,
  onChoose,
}: {
  page: PageDoc;
  section: Section;
  onChoose: (section: string | null) => void;
}): ReactNode {
  const { component, id } = section;
  return (
    <section className="entry-form" aria-label={`Section ${section.name}`}>
      <div className="screen-head">
        <h2>{section.name}</h2>
        <Button size="small" type="text" onClick={() => onChoose(null)}>
          done
        </Button>
      </div>
      <p className="quiet">{shortName(component.name)}</p>
      {groupsOf(component.properties, component.groups, '').map(({ key, label, rows }) => (
        <div key={key} role={label === '' ? undefined : 'group'} aria-label={label || undefined}>
          {label === '' ? null : <h3>{label}</h3>}
          {rows.map(([property, made]) => (
            <ValueOfSection
              key={property}
              page={page}
              section={section}
              property={property}
              made={made}
            />
          ))}
        </div>
      ))}
      {inOrder(component.slots).map(([slot, made]) => (
        <FilledSlot key={slot} page={page} node={id} slot={slot} made={made} onChoose={onChoose} />
      ))}
    </section>
  );
}

/** One value of a section: its editor with its default and help; where it is bound, what it comes from. */
function ValueOfSection({
  page,
  section: { id, node },
  property,
  made,
}: {
  page: PageDoc;
  section: Section;
  property: PropertyId;
  made: Property;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [session] = useState(newId);
  const source = own(node.values, property);
  const value = source?.is === 'value' ? source : undefined;
  const byDefault = made.default.is === 'value' ? made.default : undefined;
  const set = (given: Parameters<typeof literal>[0] | null, group: string | null) =>
    sync.edit(
      {
        name: 'setControl',
        args: {
          doc: page.id,
          node: id,
          control: { of: 'value', property },
          source: given === null ? null : literal(given),
        },
      },
      { group: group === null ? null : `${session} ${property} ${group}` },
    );
  const label = made.required ? (
    <>
      {made.label}{' '}
      <span className="needed" title="must have a value">
        *
      </span>
    </>
  ) : (
    made.label
  );
  return (
    <div className="field">
      <span className="field-label">{label}</span>
      <div>
        {mayBeSet(documents, page.id, id, property) ? (
          <>
            <div className="field-editor">
              <ValueEditor
                type={made.type}
                value={value ?? byDefault}
                label={made.label}
                onChange={(typed, group) => set(typed, group)}
              />
              <LimitWords type={made.type} value={value} />
              {value ? (
                <Button size="small" type="text" onClick={() => set(null, null)}>
                  by default
                </Button>
              ) : null}
            </div>
            {value && byDefault ? (
              <p className="field-help">
                by default: <ShowValue documents={documents} value={byDefault} type={made.type} />
              </p>
            ) : null}
          </>
        ) : (
          <span className="quiet">
            {source ? sourceWords(documents, page, source) : 'worked out in the design'}
          </span>
        )}
        {made.help ? <p className="field-help">{made.help}</p> : null}
      </div>
    </div>
  );
}
