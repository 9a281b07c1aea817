import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Input } from 'antd';
import { allOf } from '@sormet/core/model';
import { folderOf } from '@sormet/core/edit';
import { count, documentWords, reachWords } from '../../bench/words';
import { useDerived, useSync } from '../../site/SiteProvider';
import { AddComponent } from './AddComponent';
import { RemoveComponent } from './RemoveComponent';
import '../screens.css';

/** All components by folder, with whom each reaches. */
export function LibraryScreen(): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const [search, setSearch] = useState('');
  const all = allOf(documents, 'component');
  const components = all
    .filter(({ name }) => name.toLowerCase().includes(search.toLowerCase()))
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  const folders = [...new Set(components.map(({ name }) => folderOf(name)))].sort();
  return (
    <>
      <div className="screen-head">
        <h1>Library</h1>
        <span className="screen-acts">
          <Input
            className="search"
            aria-label="Search the library"
            placeholder="search"
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
      ) : components.length === 0 ? (
        <p>No component is named like this.</p>
      ) : null}
      {folders.map((folder) => (
        <section key={folder}>
          <h2>{folder || 'Surrounds'}</h2>
          <table className="screen-table" aria-label={folder || 'Surrounds'}>
            <thead>
              <tr>
                <th scope="col">Name</th>
                <th scope="col">Exposed</th>
                <th scope="col">Reach, its roster</th>
                <th scope="col">Placed in</th>
                <th scope="col">
                  <span className="for-readers">Acts</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {components
                .filter(({ name }) => folderOf(name) === folder)
                .map((component) => {
                  const answer = reach.answer(component.id);
                  const placed = answer.documents.filter(
                    (id) => documents.get(id)?.kind !== 'site',
                  );
                  return (
                    <tr key={component.id}>
                      <td>
                        <Link to={`/sites/${sync.site}/bench/${component.id}`}>
                          {component.name.slice(folder ? folder.length + 1 : 0)}
                        </Link>
                      </td>
                      <td>
                        {count(Object.keys(component.properties).length, 'property', 'properties')}
                      </td>
                      <td>
                        {answer.instances.some(({ kind }) => kind === 'places') ? (
                          <Link to={`/sites/${sync.site}/library/${component.id}`}>
                            {reachWords(answer)}
                          </Link>
                        ) : (
                          reachWords(answer)
                        )}
                      </td>
                      <td className="places">
                        {placed.map((id, i) => (
                          <span key={id}>
                            {i > 0 ? ', ' : ''}
                            <Link to={`/sites/${sync.site}/bench/${id}`}>
                              {documentWords(documents, id)}
                            </Link>
                          </span>
                        ))}
                      </td>
                      <td>
                        <RemoveComponent component={component} />
                      </td>
                    </tr>
                  );
                })}
            </tbody>
          </table>
        </section>
      ))}
    </>
  );
}
