import { useEffect, useRef, type ReactNode } from 'react';
import { X } from 'lucide-react';
import { columnsOf, guidesAt, linesAt } from '@sormet/core/guides';
import { newId, own, treeDocOf, type GuideLine, type Guides } from '@sormet/core/model';
import { widthsOf, type Width } from '@sormet/core/style';
import { BASE_WIDTH } from '../../canvas/Canvas';
import { IconButton } from '../../parts/IconButton';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { keyFor } from '../../store/keymap';
import { useAppDispatch, useBench } from '../../store/store';
import { DraftField } from '../../values/DraftField';
import { numberText, readNumber } from '../../values/read-number';
import { pxWords } from './place-words';

const MEMBERS = [
  ['columns', 'Columns', 'how many, 0 for none'],
  ['gutter', 'Gutter', 'px between two columns'],
  ['margin', 'Margin', 'px to the edges, at least'],
  ['widest', 'Widest', 'px for all columns, at most'],
  ['baseline', 'Baseline', 'px from line to line, 0 for none'],
] as const satisfies readonly (readonly [keyof Guides, string, string])[];

/** What a page is lined up with at each width, and the lines of a document; all of it for whoever designs, none of it published. */
export function GuidesPanel({ doc, onClose }: { doc: string; onClose: () => void }): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const { guides: isShown, keymap, width } = useBench('guides', 'keymap', 'width');
  // What floats is placed first: a focus before that would scroll to where it is not yet.
  const first = useRef<HTMLInputElement>(null);
  useEffect(() => first.current?.focus({ preventScroll: true }), []);
  const stored = treeDocOf(documents, doc);
  if (!stored) return null;
  const key = keymap.on ? keyFor(keymap, 'guides') : '';
  return (
    <div
      className="guides-panel"
      role="dialog"
      aria-label="Guides"
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || event.defaultPrevented) return;
        event.stopPropagation();
        onClose();
      }}
    >
      <label className="guides-shown">
        <input
          type="checkbox"
          ref={first}
          checked={isShown}
          onChange={() => dispatch(benchActions.showGuides(!isShown))}
        />
        shown {key ? <kbd>{key}</kbd> : null}
        <span className="quiet">Seen here alone, never published.</span>
      </label>
      {stored.kind === 'page' ? <ByWidth lit={width} /> : null}
      <LinesOf doc={doc} />
    </div>
  );
}

/** A table of what pages are lined up with: a column for each width. */
function ByWidth({ lit }: { lit: Width }): ReactNode {
  const { documents } = useDerived();
  const { site } = documents;
  const widths = widthsOf(site);
  const { language } = site;
  return (
    <table className="guides-table">
      <caption>All pages of the site</caption>
      <thead>
        <tr>
          <th />
          {widths.map(({ id, max }) => (
            <th key={id} scope="col" className={id === lit ? 'is-lit' : undefined}>
              {id === 'base' ? 'base' : `${max} and below`}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {MEMBERS.map(([member, label, note]) => (
          <tr key={member}>
            <th scope="row" title={note}>
              {label}
            </th>
            {widths.map(({ id, max }, i) => {
              const here = own(site.guides ?? {}, id)?.[member];
              const around = i === 0 ? 0 : guidesAt(site, widths[i - 1]!.id)[member];
              return (
                <td key={id}>
                  <DraftField
                    mono
                    label={`${label}, ${id === 'base' ? 'base' : `${max} and below`}`}
                    stored={here === undefined ? '' : numberText(here, language)}
                    placeholder={numberText(around, language)}
                    edit={(typed) => ({
                      name: 'setGuides',
                      args: {
                        width: id,
                        set: {
                          [member]: typed === '' ? null : (readNumber(typed, language) ?? NaN),
                        } as never,
                      },
                    })}
                  />
                </td>
              );
            })}
          </tr>
        ))}
        <tr className="quiet">
          <th scope="row">one column is</th>
          {widths.map(({ id, max }) => {
            const there = guidesAt(site, id);
            const [first] = columnsOf(there, Math.min(max, BASE_WIDTH));
            return (
              <td key={id}>
                {first
                  ? `${pxWords(first.to - first.from)} of ${Math.min(max, BASE_WIDTH)}`
                  : there.columns > 0
                    ? 'no room for them'
                    : ''}
              </td>
            );
          })}
        </tr>
      </tbody>
    </table>
  );
}

/** The lines of a document at the width that is looked at. */
function LinesOf({ doc }: { doc: string }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { width } = useBench('width');
  const { language } = documents.site;
  const stored = treeDocOf(documents, doc);
  if (!stored) return null;
  const lines = linesAt(stored, width);
  const put = (axis: GuideLine['axis']) => {
    // Beside the last one, so that it is seen and can be told from it.
    const last = lines.filter(({ line }) => line.axis === axis).at(-1)?.line.at ?? 0;
    sync.edit({
      name: 'setLine',
      args: { doc, line: newId(), stands: { axis, at: last + 40, width } },
    });
  };
  return (
    <section className="guides-lines">
      <h4>
        Lines of this {stored.kind === 'page' ? 'page' : 'definition'} at{' '}
        {width === 'base'
          ? 'the base'
          : `${widthsOf(documents.site).find(({ id }) => id === width)?.max ?? ''} and below`}
      </h4>
      {lines.length === 0 ? (
        <p className="quiet">None yet: drag one from a ruler into the page.</p>
      ) : null}
      <ul>
        {lines.map(({ id, line }) => (
          <li key={id}>
            <span>{line.axis === 'x' ? 'from the left' : 'from the top'}</span>
            <DraftField
              mono
              label={`Line ${pxWords(line.at)} ${line.axis === 'x' ? 'from the left' : 'from the top'}`}
              stored={numberText(line.at, language)}
              edit={(typed) => ({
                name: 'setLine',
                args: {
                  doc,
                  line: id,
                  stands: { ...line, at: readNumber(typed, language) ?? NaN },
                },
              })}
            />
            px
            <IconButton
              icon={X}
              name={`Take away the line at ${pxWords(line.at)}`}
              onPress={() => sync.edit({ name: 'setLine', args: { doc, line: id, stands: null } })}
            />
          </li>
        ))}
      </ul>
      <button type="button" className="as-link" onClick={() => put('x')}>
        add an upright line
      </button>{' '}
      ·{' '}
      <button type="button" className="as-link" onClick={() => put('y')}>
        add a level line
      </button>
    </section>
  );
}
