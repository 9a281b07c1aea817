import { useState, type ReactNode } from 'react';
import { X } from 'lucide-react';
import {
  boundIn,
  allOf,
  BOOLEAN,
  IMAGE,
  literal,
  newId,
  rootOf,
  TEXT,
  yesNo,
  type EntryDoc,
  type PageDoc,
  type Source,
} from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import { evaluate, Later } from '@sormet/core/value';
import { HeadedTable } from '../parts/HeadedTable';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { ChoiceCell } from '../parts/ChoiceCell';
import { fieldLabel, fittingFields } from '../values/fields';
import { ValueCell } from '../values/ValueCell';
import { WordsField } from '../values/WordsField';
import { componentWords, languageSample, valueWords } from '../words';
import { BoundTo } from './BoundTo';
import { DraftField } from '../values/DraftField';
import { GroupCell } from './GroupCell';
import { IconButton } from '../parts/IconButton';
import { LandmarkRow } from './LandmarkRow';
import { TextWithValues } from './TextWithValues';

/** Stands for no surround where one is chosen. */
const NO_SURROUND = '';

/** What a page says of itself: shown while nothing on it is selected. */
export function PageValues({
  page,
  entry,
}: {
  page: PageDoc;
  /** The entry that is looked at, on a page made from entries. */
  entry: EntryDoc | undefined;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const root = page.nodes[rootOf(page.nodes)];
  const surround = root?.kind === 'instance' ? root.component : undefined;
  return (
    <HeadedTable
      label={`Values of the page ${page.path}`}
      heads={[
        { unseen: 'Group' },
        'Of the page',
        { name: 'Value', width: 'half' },
        { name: 'Bound to', width: 'binding' },
      ]}
    >
      <tbody>
        <tr>
          <GroupCell label="This page" rows={2} />
          <th scope="row">name</th>
          <td className="cell">
            <DraftField
              label="Name of the page"
              stored={page.name}
              edit={(name) => ({ name: 'setPage', args: { page: page.id, set: { name } } })}
            />
          </td>
          <td className="quiet">seen only here</td>
        </tr>
        <tr>
          <th scope="row">path</th>
          <td className="cell">
            <DraftField
              mono
              label="Path of the page"
              stored={page.path}
              edit={(path) => ({ name: 'setPath', args: { page: page.id, path } })}
            />
          </td>
          <td className="quiet">a former path leads here</td>
        </tr>
      </tbody>
      <LandmarkRow page={page} />
      <tbody>
        <WordsRow page={page} entry={entry} member="title" rows={4} />
        <WordsRow page={page} entry={entry} member="description" rows={undefined} />
        <SharedPicture page={page} />
        <tr>
          <th scope="row">language</th>
          <td className={page.language === undefined ? 'cell' : 'cell set wins'}>
            <DraftField
              mono
              label="Language of the page"
              stored={page.language ?? ''}
              placeholder={`as the site: ${documents.site.language}`}
              edit={(tag) => ({
                name: 'setPage',
                args: { page: page.id, set: { language: tag.trim() === '' ? null : tag.trim() } },
              })}
            />
          </td>
          <td className="quiet">{languageSample(page.language ?? documents.site.language)}</td>
        </tr>
      </tbody>
      <tbody>
        <tr>
          <GroupCell label="Publishing" rows={1} />
          <th scope="row">published</th>
          <td className="cell">
            <ValueCell
              type={BOOLEAN}
              value={yesNo(!page.draft)}
              label="Whether the page is published"
              onChange={({ value }) =>
                sync.edit({
                  name: 'setPage',
                  args: { page: page.id, set: { draft: value !== true } },
                })
              }
            />
          </td>
          <td className="quiet">{page.draft ? 'a draft: no visitor sees it' : ''}</td>
        </tr>
        {root && root.kind !== 'instance' && root.kind !== 'element' ? null : (
          <tr>
            <GroupCell label="Around it" rows={1} />
            <th scope="row">surround</th>
            <td className="cell set wins">
              <ChoiceCell
                label="The page's surround"
                chosen={surround ?? NO_SURROUND}
                options={[{ value: NO_SURROUND, label: 'none' }].concat(
                  allOf(documents, 'component')
                    .filter(({ id, slots }) => id === surround || Object.keys(slots).length > 0)
                    .map(({ id, name }) => ({ value: id, label: shortName(name) })),
                )}
                onChoose={(chosen) =>
                  sync.edit({
                    name: 'setSurround',
                    args: { page: page.id, component: chosen === NO_SURROUND ? null : chosen },
                  })
                }
              />
            </td>
            <td>
              {surround === undefined ? null : (
                <button
                  type="button"
                  className="as-link"
                  onClick={() => dispatch(benchActions.openBeside(surround))}
                >
                  open {componentWords(documents, surround)} beside
                </button>
              )}
            </td>
          </tr>
        )}
      </tbody>
    </HeadedTable>
  );
}

/** The picture that stands for the page where somebody shares its address. */
function SharedPicture({ page }: { page: PageDoc }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const source = page.image;
  const bound = boundIn(source);
  const give = (image: Source | null) =>
    sync.edit({ name: 'setPage', args: { page: page.id, set: { image } } });
  return (
    <tr>
      <th scope="row">sharing picture</th>
      <td className={source && !bound ? 'cell set wins' : 'cell'}>
        <div className="cell-with-actions">
          <ValueCell
            type={IMAGE}
            value={source?.is === 'value' ? source : undefined}
            label="The page's sharing picture"
            placeholder={bound ? '' : 'none; shown where the address is shared'}
            onChange={(value) => give(literal(value))}
          />
          {source && !bound ? (
            <IconButton
              icon={X}
              name="The page's sharing picture: none"
              title="No picture"
              onPress={() => give(null)}
            />
          ) : null}
        </div>
      </td>
      <td className={bound ? 'cell bound tight wins' : 'cell bound tight'}>
        {page.entries === null ? null : (
          <BoundTo
            label="The page's sharing picture"
            fields={() => fittingFields(documents, page, rootOf(page.nodes), IMAGE)}
            bound={bound}
            boundLabel={bound ? fieldLabel(documents, page, bound) : ''}
            onBind={(next) => give(next)}
            onRelease={() => give(null)}
            whenEmpty={['nothing']}
          />
        )}
      </td>
    </tr>
  );
}

/** What visitors and machines are told of the page: words, or on a page made from entries a field of each. */
function WordsRow({
  page,
  entry,
  member,
  rows,
}: {
  page: PageDoc;
  entry: EntryDoc | undefined;
  member: 'title' | 'description';
  rows: number | undefined;
}): ReactNode {
  const { documents, builtOf } = useDerived();
  const sync = useSync();
  const [session] = useState(newId);
  const gives = (each: Source) => {
    const scope = builtOf(page.id, entry)?.scope;
    const value = scope ? evaluate(each, TEXT, scope) : null;
    return value instanceof Later ? 'nothing' : valueWords(documents, value);
  };
  const source = page[member];
  const bound = boundIn(source);
  const words = source.is === 'value' && source.type === 'text' ? (source.value ?? '') : '';
  const give = (next: Source, group: string | null = null) =>
    sync.edit(
      {
        name: 'setPage',
        args: {
          page: page.id,
          set: member === 'title' ? { title: next } : { description: next },
        },
      },
      { group: group === null ? null : `${session} ${member} ${group}` },
    );
  return (
    <tr>
      {rows === undefined ? null : <GroupCell label="For visitors" rows={rows} />}
      <th scope="row">{member}</th>
      <td className={bound ? 'cell' : 'cell set wins'}>
        <TextWithValues
          label={`The page's ${member}`}
          doc={page}
          node={null}
          of={`${page.id} ${member}`}
          wanted={TEXT}
          source={source}
          gives={gives}
          onGive={give}
        >
          {(onPlace) => (
            <WordsField
              label={`The page's ${member}`}
              value={words}
              placeholder={bound ? '' : member === 'title' ? 'the name of the site' : 'none yet'}
              onPlace={page.entries === null ? undefined : onPlace}
              onChange={(typed, group) => give(literal({ type: 'text', value: typed }), group)}
            />
          )}
        </TextWithValues>
      </td>
      <td className={bound ? 'cell bound tight wins' : 'cell bound tight'}>
        {page.entries === null ? null : (
          <BoundTo
            label={`The page's ${member}`}
            fields={() => fittingFields(documents, page, rootOf(page.nodes), TEXT)}
            bound={bound}
            boundLabel={bound ? fieldLabel(documents, page, bound) : ''}
            onBind={(next) => give(next)}
            onRelease={() => give(literal({ type: 'text', value: '' }))}
            whenEmpty={['nothing']}
          />
        )}
      </td>
    </tr>
  );
}
