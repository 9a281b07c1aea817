import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { docOf, own } from '@sormet/core/model';
import { MOST_CONTROLS } from '@sormet/core/edit';
import { atCell, rangeOf, within, type At } from '../../parts/grid/walking';
import { useDerived, useSync } from '../../site/SiteProvider';
import { fieldsForAll } from './bindable';
import { pastedBlock, type Given } from './pasted-block';
import { RosterActs } from './RosterActs';
import { RosterHead } from './RosterHead';
import { RosterTable } from './RosterTable';
import { useRoster, type Looking } from './use-roster';
import '../screens.css';
import './Roster.css';

/**
 * Every instance of a component, a row each: page, name and every property, set or bound in the cell, filled down, pasted
 * from a spreadsheet, taken back; each act one step.
 */
export function RosterScreen(): ReactNode {
  const { component: id = '' } = useParams();
  const { documents, reach } = useDerived();
  const sync = useSync();
  const component = docOf(documents, 'component', id);
  const [looking, setLooking] = useState<Looking>({ filter: '', standing: 'any', sort: null });
  const { columns, rows, all } = useRoster(documents, reach, component, looking);
  const [asked, setAt] = useState<At>(atCell(0, 0));
  const [wrong, setWrong] = useState<readonly string[]>([]);
  if (!component)
    return (
      <>
        <h1>There is no such component</h1>
        <Link to={`/sites/${sync.site}/library`}>To the library</Link>
      </>
    );
  // What is looked at may have become less.
  const at = within(asked, rows.length, columns.length);
  const { top, bottom, left, right } = rangeOf(at);
  const chosen = rows.slice(top, bottom + 1);
  const across = columns.slice(left, right + 1);
  // What is bound is bound to something that fits one property.
  const column = across.length === 1 ? across[0] : undefined;
  const set = (given: readonly Given[], group: string | null = null) => {
    if (given.length === 0) return;
    if (given.length > MOST_CONTROLS)
      return setWrong([`At most ${MOST_CONTROLS} values are set in one step.`]);
    setWrong([]);
    const controls = given.map(({ row: { doc, node }, column: of, source }) => ({
      doc,
      node,
      control: { of: 'value' as const, property: of.id },
      source,
    }));
    sync.edit({ name: 'setControls', args: { set: controls } }, { group });
  };
  const fillDown = () => {
    const [from, ...rest] = chosen;
    if (!from || rest.length === 0) return;
    const given = across.map((of) => ({ of, source: own(from.instance.values, of.id) ?? null }));
    // What is bound is bound to something of the place where it stands: only values go down.
    if (given.some(({ source }) => source && source.is !== 'value'))
      return setWrong([
        'What is bound is bound where it stands: bind the others by the list above.',
      ]);
    set(rest.flatMap((row) => given.map(({ of, source }) => ({ row, column: of, source }))));
  };
  const takeBack = () =>
    set(chosen.flatMap((row) => across.map((of) => ({ row, column: of, source: null }))));
  const paste = (text: string) => {
    const target = { rows, columns, top, bottom, left, right };
    const pasted = pastedBlock(documents, text, target);
    if (pasted.wrong.length > 0) setWrong(['Nothing was pasted.', ...pasted.wrong]);
    else set(pasted.given);
  };
  const fields =
    column && !column.property.typedOnly ? fieldsForAll(documents, chosen, column) : [];
  return (
    <>
      <RosterHead component={component} looking={looking} onLook={setLooking} />
      <RosterActs
        rows={rows}
        all={all}
        columns={across}
        chosen={chosen}
        fields={fields}
        wrong={wrong}
        onFillDown={fillDown}
        onTakeBack={takeBack}
        onBind={({ source }) => {
          if (column) set(chosen.map((row) => ({ row, column, source })));
        }}
      />
      {columns.length === 0 ? (
        <p>It exposes nothing: every instance looks like the definition.</p>
      ) : rows.length === 0 ? (
        <p>{all === 0 ? 'No page has one yet.' : 'No row is like this.'}</p>
      ) : (
        <RosterTable
          name={component.name}
          rows={rows}
          columns={columns}
          sort={looking.sort}
          at={at}
          onSort={(sort) => setLooking({ ...looking, sort })}
          onGo={setAt}
          onSet={set}
          onFillDown={fillDown}
          onTakeBack={takeBack}
          onPaste={paste}
        />
      )}
    </>
  );
}
