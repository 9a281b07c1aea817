import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Button, Checkbox, Input, Select } from 'antd';
import { newId } from '@sormet/core/model';
import { duplicateOfComponent, folderOf, shortName } from '@sormet/core/edit';
import { HeadedTable } from '../../parts/HeadedTable';
import { count, documentWords, momentWords, reachWords } from '../../words';
import { useDerived, useSync } from '../../site/SiteProvider';
import { DraftField } from '../../values/DraftField';
import { AddComponent } from './AddComponent';
import { ComponentPicture } from './ComponentPicture';
import { ExchangeAll } from './ExchangeAll';
import { RemoveComponent } from './RemoveComponent';
import { useLastChanges, useLibrary, type LibraryLine, type LibraryOrder } from './use-library';
import '../screens.css';
import './Library.css';

const ORDERS: { value: LibraryOrder; label: string }[] = [
  { value: 'name', label: 'by folder and name' },
  { value: 'used', label: 'used most first' },
  { value: 'changed', label: 'changed last first' },
];

/** How many places of a component are named before the rest is counted. */
const NAMED = 3;

/** All components: what they look like, whom each reaches, which nothing uses. */
export function LibraryScreen(): ReactNode {
  const { documents, reach } = useDerived();
  const [search, setSearch] = useState('');
  const [onlyUnused, setOnlyUnused] = useState(false);
  const [order, setOrder] = useState<LibraryOrder>('name');
  const { all, shown, unused } = useLibrary(documents, reach, useLastChanges(), {
    search,
    unused: onlyUnused,
    order,
  });
  const folders =
    order === 'name' ? [...new Set(shown.map(({ component: { name } }) => folderOf(name)))] : [];
  return (
    <>
      <div className="screen-head">
        <h1>Library</h1>
        <span className="screen-acts library-acts">
          <Checkbox checked={onlyUnused} onChange={({ target }) => setOnlyUnused(target.checked)}>
            unused only ({unused})
          </Checkbox>
          <Select
            aria-label="Order of the library"
            value={order}
            options={ORDERS}
            showSearch={{ optionFilterProp: 'label' }}
            popupMatchSelectWidth={false}
            onChange={setOrder}
          />
          <Input
            className="search"
            aria-label="Search the library"
            placeholder="folder or name"
            value={search}
            onChange={({ target }) => setSearch(target.value)}
          />
          <AddComponent />
        </span>
      </div>
      {all.length === 0 ? (
        <p className="first-steps">
          There is no component yet. Make one of something on a page with <kbd>m</kbd>, or begin
          with an empty one. <AddComponent first />
        </p>
      ) : shown.length === 0 ? (
        <p>{onlyUnused && search === '' ? 'Every component is used.' : 'No component is found.'}</p>
      ) : null}
      {order === 'name' ? (
        folders.map((folder) => (
          <section key={folder}>
            <h2>{folder || 'Surrounds'}</h2>
            <Lines
              label={folder || 'Surrounds'}
              lines={shown.filter(({ component: { name } }) => folderOf(name) === folder)}
            />
          </section>
        ))
      ) : shown.length > 0 ? (
        <Lines label="Components" lines={shown} />
      ) : null}
    </>
  );
}

function Lines({ label, lines }: { label: string; lines: readonly LibraryLine[] }): ReactNode {
  return (
    <HeadedTable
      label={label}
      className="screen-table library"
      heads={[
        { unseen: 'Picture', width: 'picture-column' },
        'Component',
        'Folder and name',
        'Exposed',
        'Reach, its roster',
        'Placed in',
        'Changed',
        { unseen: 'Acts' },
      ]}
    >
      <tbody>
        {lines.map((line) => (
          <Line key={line.component.id} line={line} />
        ))}
      </tbody>
    </HeadedTable>
  );
}

function Line({ line }: { line: LibraryLine }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { component, answer, placed, changed } = line;
  const places = answer.documents.filter((id) => documents.get(id)?.kind !== 'site');
  const more = places.length - NAMED;
  const duplicate = () =>
    sync.edit({
      name: 'addComponent',
      args: { component: duplicateOfComponent(documents, component, newId()) },
    });
  return (
    <tr>
      <td className="picture-column">
        <ComponentPicture component={component} />
      </td>
      <th scope="row">
        <Link to={`/sites/${sync.site}/bench/${component.id}`}>{shortName(component.name)}</Link>
      </th>
      <td>
        <DraftField
          mono
          label={`Folder and name of ${component.name}`}
          stored={component.name}
          edit={(name) => ({ name: 'nameComponent', args: { component: component.id, name } })}
        />
      </td>
      <td>{count(Object.keys(component.properties).length, 'property', 'properties')}</td>
      <td>
        {placed > 0 ? (
          <Link to={`/sites/${sync.site}/library/${component.id}`}>{reachWords(answer)}</Link>
        ) : (
          <span className="quiet">{reachWords(answer)}</span>
        )}
      </td>
      <td className="places">
        {places.slice(0, NAMED).map((id, i) => (
          <span key={id}>
            {i > 0 ? ', ' : ''}
            <Link to={`/sites/${sync.site}/bench/${id}`}>{documentWords(documents, id)}</Link>
          </span>
        ))}
        {more > 0 ? ` and ${more} more` : ''}
      </td>
      <td className="quiet">{changed ? momentWords(changed) : 'as it was made'}</td>
      <td className="line-acts">
        <Button
          size="small"
          type="text"
          aria-label={`duplicate ${component.name}`}
          onClick={duplicate}
        >
          duplicate
        </Button>
        <ExchangeAll component={component} />
        <RemoveComponent component={component} />
      </td>
    </tr>
  );
}
