import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import {
  literal,
  newId,
  nodeIn,
  own,
  sameJson,
  treeDocOf,
  type ComponentDoc,
  type Property,
  type PropertyId,
  type Source,
  type TreeDoc,
  type Typed,
} from '@sormet/core/model';
import { nodeName, type NamedEdit } from '@sormet/core/edit';
import { everywhere } from '@sormet/core/resolve';
import { evaluate, Later } from '@sormet/core/value';
import { Dialog } from '../../parts/Dialog';
import { Wrong } from '../../parts/Wrong';
import { useDerived, useSync } from '../../site/SiteProvider';
import { sourceWords } from '../../values/source-words';
import { documentWords, refusalWords, valueWords } from '../../words';

/** What becomes of an instance that is bound: it stays so, it says what shows there now, or it follows the default. */
type Decided = 'bound' | 'shows' | 'default';

/** An instance that gives the property something other than a typed value. */
interface Bound {
  readonly doc: TreeDoc;
  readonly node: string;
  readonly source: Source;
  /** The one value that shows there; nothing where it differs from entry to entry. */
  readonly shows: Typed | undefined;
}

/** At how many places it is looked whether the same shows at all of them. */
const MOST_PLACES = 500;

/**
 * Keeps a property to typed values: at once where nothing is bound, else after each instance that is was decided.
 * Whoever uses it draws `asked` somewhere.
 */
export function useKeptToTyped(
  component: ComponentDoc,
  property: PropertyId,
): { keep: (on: boolean) => void; asked: ReactNode } {
  const sync = useSync();
  const { documents, data, linker, reach } = useDerived();
  const [asking, setAsking] = useState<readonly Bound[] | null>(null);
  const made = own(component.properties, property);
  const setting: NamedEdit = {
    name: 'setProperty',
    args: { component: component.id, property, set: { typedOnly: true } },
  };
  const placesOf = (of: string) => reach.placesOf(of);
  const boundOnes = (type: Property['type']): Bound[] =>
    reach.settersOf(component.id, property).flatMap(({ from, node }) => {
      const doc = treeDocOf(documents, from);
      const stored = nodeIn(documents, from, node);
      const source = stored?.kind === 'instance' ? own(stored.values, property) : undefined;
      if (!doc || !source || source.is === 'value') return [];
      const values: (Typed | undefined)[] = [];
      for (const { scope } of everywhere({ documents, data, linker, placesOf }, from, node)) {
        const value = evaluate(source, type, scope);
        const isValue =
          value !== null &&
          !(value instanceof Later) &&
          value.type !== 'hide' &&
          value.type !== 'waiting';
        values.push(isValue ? value : undefined);
        if (values.length === MOST_PLACES || !sameJson(values[0], values.at(-1))) break;
      }
      const [first] = values;
      const isOne = values.length < MOST_PLACES && values.every((each) => sameJson(each, first));
      return [{ doc, node, source, shows: isOne ? first : undefined }];
    });
  return {
    keep(on) {
      if (!made) return;
      const bound = on ? boundOnes(made.type) : [];
      if (bound.length > 0) setAsking(bound);
      else
        sync.edit({ ...setting, args: { ...setting.args, set: { typedOnly: on } } } as NamedEdit);
    },
    asked:
      asking && made ? (
        <Deciding
          property={property}
          made={made}
          bound={asking}
          setting={setting}
          onClose={() => setAsking(null)}
        />
      ) : null,
  };
}

function Deciding({
  property,
  made,
  bound,
  setting,
  onClose,
}: {
  property: PropertyId;
  made: Property;
  bound: readonly Bound[];
  setting: NamedEdit;
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [decided, setDecided] = useState<Readonly<Record<string, Decided>>>({});
  const [wrong, setWrong] = useState('');
  const keyOf = ({ doc, node }: Bound) => `${doc.id} ${node}`;
  const decisionOf = (each: Bound): Decided => {
    const said = decided[keyOf(each)] ?? 'bound';
    return said === 'shows' && !each.shows ? 'bound' : said;
  };
  const keep = () => {
    const edits = bound.flatMap((each): NamedEdit[] => {
      const decision = decisionOf(each);
      if (decision === 'bound') return [];
      const source = decision === 'shows' ? literal(each.shows!) : null;
      const control = { of: 'value' as const, property };
      return [{ name: 'setControl', args: { doc: each.doc.id, node: each.node, control, source } }];
    });
    const group = `kept to typed ${newId()}`;
    const reason = refusalWords(sync.attemptAll([setting, ...edits], { group }));
    setWrong(reason);
    if (reason === '') onClose();
  };
  const offered = (['bound', 'shows', 'default'] as const).filter(
    (each) => each !== 'shows' || bound.some(({ shows }) => shows),
  );
  const words: Record<Decided, string> = {
    bound: 'stays as it is',
    shows: 'says what shows there now',
    default: 'follows the default',
  };
  return (
    <Dialog
      open
      width={720}
      title={`${made.label}: typed values only`}
      okText="Keep it to typed values"
      cancelText="Leave it"
      onOk={keep}
      onCancel={onClose}
    >
      <p>
        These give it something other than a typed value. No other will be offered that; for each of
        these it is decided here. One step back undoes all of it.
      </p>
      {bound.length > 1 ? (
        <p>
          All of them:{' '}
          {offered.map((each) => (
            <button
              key={each}
              type="button"
              className="as-link deciding-all"
              onClick={() => setDecided(Object.fromEntries(bound.map((one) => [keyOf(one), each])))}
            >
              {words[each]}
            </button>
          ))}
        </p>
      ) : null}
      <ul className="becoming">
        {bound.map((each) => {
          const stored = nodeIn(documents, each.doc.id, each.node);
          const name = `${stored ? nodeName(documents, stored) : ''} on ${documentWords(documents, each.doc.id)}`;
          return (
            <li key={keyOf(each)} className="deciding">
              <span>
                <Link target="_blank" to={`/sites/${sync.site}/bench/${each.doc.id}#${each.node}`}>
                  {name}
                </Link>
                : {sourceWords(documents, each.doc, each.source)}
                <span className="quiet">
                  {each.shows
                    ? `, shows ${valueWords(documents, each.shows, made.type)}`
                    : ', not the same everywhere'}
                </span>
              </span>
              <select
                aria-label={`What becomes of ${name}`}
                value={decisionOf(each)}
                onChange={({ target }) =>
                  setDecided({ ...decided, [keyOf(each)]: target.value as Decided })
                }
              >
                <option value="bound">{words.bound}</option>
                {each.shows ? <option value="shows">{words.shows}</option> : null}
                <option value="default">{words.default}</option>
              </select>
            </li>
          );
        })}
      </ul>
      <Wrong as="p" words={wrong} />
    </Dialog>
  );
}
