import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { CircleDashed } from 'lucide-react';
import { whereEmpty, type EmptyAt } from '@sormet/core/edit';
import {
  docOf,
  entryTitle,
  newId,
  own,
  type EntryDoc,
  type FieldId,
  type NodeId,
  type Source,
  type TreeDoc,
  type TypeSpec,
} from '@sormet/core/model';
import { Dialog } from '../parts/Dialog';
import { IconButton } from '../parts/IconButton';
import { useDerived, useSync } from '../site/SiteProvider';
import { ValueEditor } from '../values/ValueEditor';
import { count, documentWords } from '../words';

/** How many entries are listed to be filled. */
const LISTED = 60;

interface Bound {
  readonly label: string;
  readonly doc: TreeDoc;
  readonly node: NodeId;
  readonly wanted: TypeSpec;
  readonly source: Extract<Source, { is: 'field' }>;
}

/** Asks for which entries a bound value is empty: counted and listed, and filled there one after another. */
export function WhereBoundEmpty(bound: Bound): ReactNode {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <IconButton
        icon={CircleDashed}
        name={`${bound.label}: where it is empty`}
        title="Where it is empty"
        onPress={() => setOpen(true)}
      />
      <Dialog
        open={isOpen}
        width={640}
        title={`Where ${bound.label} is empty`}
        footer={null}
        onCancel={() => setOpen(false)}
        destroyOnHidden
      >
        {isOpen ? <Empty {...bound} /> : null}
      </Dialog>
    </>
  );
}

function Empty({ doc, node, wanted, source }: Bound): ReactNode {
  const { documents, data, linker, reach } = useDerived();
  const { tried, isPart, empty } = useMemo(() => {
    const placesOf = (component: string) => reach.placesOf(component);
    const site = { documents, data, linker, placesOf };
    return whereEmpty(site, { doc: doc.id, node, wanted }, source);
  }, [documents, data, linker, reach, doc.id, node, wanted, source]);
  // What is filled stays in the list: somebody may not be done with it.
  const [begun] = useState(empty);
  const shown = [...empty, ...begun.filter((each) => !empty.some((other) => isSame(each, other)))];
  const all = `${isPart ? 'the first ' : ''}${count(tried, 'place')}`;
  return (
    <>
      <p aria-live="polite">
        {tried === 0
          ? 'It shows nowhere yet.'
          : empty.length === 0
            ? `It gives something at all of ${all}.`
            : `It gives nothing at ${empty.length} of ${all}.`}
      </p>
      <div className="where-empty">
        {[...shown]
          .sort((a, b) => (keyOf(a) < keyOf(b) ? -1 : 1))
          .slice(0, LISTED)
          .map((each) => (
            <Place key={keyOf(each)} place={each} source={source} />
          ))}
      </div>
      {shown.length > LISTED ? <p>and {shown.length - LISTED} more</p> : null}
    </>
  );
}

const keyOf = ({ opened, entry = '', item = '', through }: EmptyAt) =>
  `${opened} ${entry} ${item} ${through ?? ''}`;
const isSame = (a: EmptyAt, b: EmptyAt) => keyOf(a) === keyOf(b);

/** One place, with the field that is empty there where it is of the entry itself. */
function Place({ place, source }: { place: EmptyAt; source: Bound['source'] }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [session] = useState(newId);
  const read = source.from === 'page' ? place.entry : place.item;
  const entry = docOf(documents, 'entry', read ?? '');
  const filled = entry && whatToFill(entry, source.path);
  const type = filled && docOf(documents, 'type', filled.entry.type);
  const field = type && own(type.fields, filled.field);
  const search = place.entry === undefined ? '' : `?entry=${place.entry}`;
  return (
    <div className="field">
      <Link
        to={`/sites/${sync.site}/bench/${place.opened}${search}${place.through === null ? '' : `#${place.through}`}`}
      >
        {entry ? entryTitle(documents, entry) : documentWords(documents, place.opened)}
      </Link>
      {field ? (
        <div className="field-editor">
          <ValueEditor
            type={field.type}
            label={`${field.label} of ${entryTitle(documents, filled.entry)}`}
            value={own(filled.entry.values, filled.field)}
            onChange={(value, group) =>
              sync.edit(
                {
                  name: 'setField',
                  args: { entry: filled.entry.id, field: filled.field, value },
                },
                { group: group === null ? null : `${session} ${group}` },
              )
            }
          />
        </div>
      ) : (
        <span className="quiet">{documentWords(documents, place.opened)}</span>
      )}
    </div>
  );
}

/** The field that is empty: of the entry itself, where the path goes no further. */
function whatToFill(
  entry: EntryDoc,
  path: readonly FieldId[],
): { entry: EntryDoc; field: FieldId } | undefined {
  const [field, ...more] = path;
  return field === undefined || more.length > 0 ? undefined : { entry, field };
}
