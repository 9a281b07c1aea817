import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { Button, Popconfirm, Select } from 'antd';
import {
  allOf,
  inOrder,
  pageForEntries,
  slugOf,
  type FieldId,
  type TypeDoc,
  type ValueKind,
} from '@sormet/core/model';
import { freePath } from '@sormet/core/edit';
import { writeType } from '@sormet/core/format';
import { emptyPage } from '@sormet/core/ready';
import { saveFile } from '../../../parts/save-file';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { DraftField } from '../../../values/DraftField';
import { count, refusalWords } from '../../../words';
import { Wrong } from '../../../parts/Wrong';

/** Kinds that can be a part of an address. */
const IN_ADDRESS: ReadonlySet<ValueKind> = new Set(['text', 'number', 'date', 'choice', 'entry']);

/** What holds for a content type as a whole: what its entries are called and known by, their addresses, their page. */
export function TypeSettings({ type }: { type: TypeDoc }): ReactNode {
  const sync = useSync();
  const named = inOrder(type.fields);
  const options = (kinds: (kind: ValueKind) => boolean) =>
    named
      .filter(([, field]) => kinds(field.type.kind))
      .map(([value, { label }]) => ({ value, label }));
  return (
    <div className="type-settings">
      <label className="field">
        <span className="field-label">One is called</span>
        <DraftField
          label="What one entry is called"
          stored={type.name}
          edit={(name) => ({ name: 'setType', args: { type: type.id, set: { name } } })}
        />
      </label>
      <label className="field">
        <span className="field-label">Many are</span>
        <DraftField
          label="What many entries are called"
          stored={type.plural}
          edit={(plural) => ({ name: 'setType', args: { type: type.id, set: { plural } } })}
        />
      </label>
      <div className="field">
        <span className="field-label">Known by</span>
        <Select
          size="small"
          aria-label="The field by which an entry is known"
          value={type.title}
          options={options((kind) => kind === 'text')}
          onChange={(title) =>
            sync.edit({ name: 'setType', args: { type: type.id, set: { title } } })
          }
        />
      </div>
      <div className="field">
        <span className="field-label">Address from</span>
        <Select
          size="small"
          mode="multiple"
          aria-label="The fields that an address is made from"
          value={type.slugFrom ?? [type.title]}
          options={options((kind) => IN_ADDRESS.has(kind))}
          maxCount={4}
          onChange={(fields: FieldId[]) => {
            const isTitle =
              fields.length === 0 || (fields.length === 1 && fields[0] === type.title);
            const slugFrom = isTitle ? null : fields;
            sync.edit({ name: 'setType', args: { type: type.id, set: { slugFrom } } });
          }}
        />
      </div>
      <PageOfEach type={type} />
      <TheType type={type} />
    </div>
  );
}

/** The page that each entry has, or what makes one. */
function PageOfEach({ type }: { type: TypeDoc }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [wrong, setWrong] = useState('');
  const one = type.name.toLowerCase();
  const page = pageForEntries(documents, type.id);
  const make = () => {
    const path = freePath(
      `/${slugOf(type.plural, 'entries')}/<slug>`,
      new Set(allOf(documents, 'page').map((each) => each.path)),
    );
    const made = emptyPage(documents, path, `Each ${one}`, type);
    setWrong(refusalWords(sync.attempt({ name: 'addPage', args: { page: made } })));
  };
  return (
    <div className="field">
      <span className="field-label">Page</span>
      {page ? (
        <span>
          each {one} has one at{' '}
          <Link to={`/sites/${sync.site}/bench/${page.id}`}>
            <code>{page.path}</code>
          </Link>
          {page.draft ? ', which is a draft' : ''}
        </span>
      ) : (
        <span>
          <Button size="small" onClick={make}>
            Make a page for each {one}
          </Button>
          <Wrong words={wrong} />
        </span>
      )}
    </div>
  );
}

/** The content type as a whole: written out as a JSON Schema; or removed, which says what goes with it, and what stands in the way. */
function TheType({ type }: { type: TypeDoc }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const [wrong, setWrong] = useState('');
  const many = allOf(documents, 'entry').filter((entry) => entry.type === type.id).length;
  return (
    <div className="field">
      <span className="field-label">The type</span>
      <span className="cell-actions">
        <Button
          size="small"
          onClick={() =>
            saveFile(
              `${slugOf(type.name, 'type')}.schema.json`,
              JSON.stringify(writeType(documents, type), null, 2) + '\n',
              'application/schema+json',
            )
          }
        >
          Write it out
        </Button>
        <Popconfirm
          title={`Remove the content type ${type.plural}?`}
          description={
            many === 0
              ? 'It has no entries. Undo brings it back.'
              : `${count(many, 'entry', 'entries')} ${many === 1 ? 'goes' : 'go'} with it. Undo brings all of it back.`
          }
          okText="Remove"
          cancelText="Keep"
          onConfirm={() => {
            const refusal = sync.attempt({ name: 'removeType', args: { type: type.id } });
            if (refusal) setWrong(refusalWords(refusal));
            else void navigate(`/sites/${sync.site}/content`);
          }}
        >
          <Button size="small" danger>
            Remove it
          </Button>
        </Popconfirm>
        <Wrong words={wrong} />
      </span>
    </div>
  );
}
