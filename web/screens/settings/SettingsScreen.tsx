import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { Button, Popconfirm } from 'antd';
import { NumberField } from '../../values/NumberField';
import { useSayLost } from '../../values/use-say-lost';
import {
  allOf,
  blocksOfNode,
  DEFAULT_ZONE,
  IMAGE,
  newId,
  own,
  type Documents,
  type Inbox,
} from '@sormet/core/model';
import { shortName, type NamedEdit } from '@sormet/core/edit';
import { keyParts, widthsOf } from '@sormet/core/style';
import { count, languageName, languageSample } from '../../words';
import { Keys } from '../../parts/Keys';
import { DraftField } from '../../values/DraftField';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useSummary } from '../../site/use-summary';
import { useAppDispatch } from '../../store/store';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { ValueCell } from '../../values/ValueCell';
import { RemoveSite } from '../sites/RemoveSite';
import { Fonts } from './Fonts';
import './SettingsScreen.css';
import '../screens.css';

/** What is said of the site as a whole: each is set where it stands, and holds at once. */
export function SettingsScreen(): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const summary = useSummary();
  const [removing, setRemoving] = useState(false);
  const { site } = documents;
  return (
    <>
      <div className="screen-head">
        <h1>Settings</h1>
      </div>
      <table className="screen-table settings" aria-label="Settings">
        <tbody>
          <Row
            label="name"
            note="as people who work on it see it, and the title of pages without one"
          >
            <DraftField
              label="Name of the site"
              stored={site.name}
              edit={(name) => ({ name: 'setSite', args: { set: { name } } })}
            />
          </Row>
          <Row
            label="address"
            note="the first part of its address; the old one leads nowhere afterwards"
          >
            <DraftField
              mono
              label="Address of the site"
              stored={site.slug}
              edit={(slug) => ({ name: 'setSite', args: { set: { slug } } })}
            />
          </Row>
          <Row
            label="language"
            note={`of its pages, as a language tag (BCP 47): en, de-AT. Here ${languageName(site.language)}: ${languageSample(site.language)}`}
          >
            <DraftField
              mono
              label="Language of the pages"
              stored={site.language}
              edit={(language) => ({ name: 'setSite', args: { set: { language } } })}
            />
          </Row>
          <Row
            label="time zone"
            note="by its clocks entries are published and taken back, and a day begins"
          >
            <ChoiceCell
              label="Time zone of the site"
              chosen={site.timeZone ?? DEFAULT_ZONE}
              options={[
                ...new Set([
                  DEFAULT_ZONE,
                  ...(site.timeZone === undefined ? [] : [site.timeZone]),
                  ...Intl.supportedValuesOf('timeZone'),
                ]),
              ].map((zone) => ({ value: zone, label: zone.replaceAll('_', ' ') }))}
              onChoose={(zone) =>
                sync.edit({
                  name: 'setSite',
                  args: { set: { timeZone: zone === DEFAULT_ZONE ? null : zone } },
                })
              }
            />
          </Row>
          <Row
            label="messages to"
            note="mail tells of each to this address; without one, none does"
          >
            <DraftField
              mono
              label="Address that is told of messages"
              stored={site.inbox?.mail ?? ''}
              edit={(mail) => inboxWith(site.inbox, { mail })}
            />
          </Row>
          <Row label="messages kept" note="after so many days messages are removed for good">
            <ChoiceCell
              label="How long messages are kept"
              chosen={String(site.inbox?.days ?? '')}
              options={[
                { value: '', label: 'until they are removed' },
                ...[
                  ...new Set([
                    30,
                    90,
                    180,
                    365,
                    730,
                    ...(site.inbox?.days ? [site.inbox.days] : []),
                  ]),
                ]
                  .sort((a, b) => a - b)
                  .map((days) => ({ value: String(days), label: count(days, 'day') })),
              ]}
              onChoose={(days) => sync.edit(inboxWith(site.inbox, { days: Number(days) }))}
            />
          </Row>
          <Row label="surround" note="around every new page; a page can have another">
            <ChoiceCell
              label="Surround of new pages"
              chosen={site.surround ?? ''}
              options={[
                { value: '', label: 'none' },
                ...allOf(documents, 'component')
                  .filter(({ id, slots }) => id === site.surround || Object.keys(slots).length > 0)
                  .map(({ id, name }) => ({ value: id, label: shortName(name) })),
              ]}
              onChoose={(chosen) =>
                sync.edit({
                  name: 'setSite',
                  args: { set: { surround: chosen === '' ? null : chosen } },
                })
              }
            />
          </Row>
          <Row label="icon" note="shown by browsers beside the title">
            <ValueCell
              type={IMAGE}
              value={
                site.icon === undefined ? undefined : { type: 'image', value: { asset: site.icon } }
              }
              label="Icon of the site"
              placeholder="none yet"
              onChange={(value) => {
                const asset = value.type === 'image' ? (value.value?.asset ?? null) : null;
                sync.edit({ name: 'setSite', args: { set: { icon: asset } } });
              }}
            />
          </Row>
          <Row label="widths" note="what is declared at one holds on screens as wide or narrower">
            <Widths documents={documents} />
          </Row>
          <Row
            label="fonts"
            note="shipped with its pages; named in tokens and styles by their family"
          >
            <Fonts documents={documents} />
          </Row>
          <Row label="keys" note="which single key does what, in this browser">
            <Button size="small" onClick={() => dispatch(benchActions.showKeys(true))}>
              List and change the keys
            </Button>
          </Row>
          <Row label="remove" note="kept for thirty days, and brought back from the list of sites">
            <Button size="small" danger onClick={() => setRemoving(true)}>
              Remove this site …
            </Button>
          </Row>
        </tbody>
      </table>
      <p className="quiet">
        Every change is in the history and can be taken back. <Link to="/">All sites</Link>
      </p>
      <RemoveSite
        site={removing ? summary : null}
        onClose={(removed) => {
          setRemoving(false);
          if (removed) void navigate('/');
        }}
      />
      <Keys />
    </>
  );
}

/** What becomes of messages, one member of it another: no words and no days are none. */
function inboxWith(inbox: Inbox | undefined, set: { mail: string } | { days: number }): NamedEdit {
  const { mail, days } = { ...inbox, ...set };
  const now = {
    ...(mail?.trim() ? { mail: mail.trim() } : {}),
    ...(days ? { days } : {}),
  };
  return { name: 'setSite', args: { set: { inbox: now } } };
}

function Row({
  label,
  note,
  children,
}: {
  label: string;
  note: string;
  children: ReactNode;
}): ReactNode {
  return (
    <tr>
      <th scope="row">{label}</th>
      <td>{children}</td>
      <td className="quiet">{note}</td>
    </tr>
  );
}

/** The site's widths, from wide to narrow; one is taken away only after it was said what is declared there. */
function Widths({ documents }: { documents: Documents }): ReactNode {
  const sync = useSync();
  const sayLost = useSayLost();
  const [added, setAdded] = useState<number | null>(null);
  const set = (width: string, max: number | null) =>
    sync.edit({ name: 'setWidth', args: { width, max } });
  return (
    <div className="widths">
      <span>the base, on every screen</span>
      {widthsOf(documents.site)
        .filter(({ id }) => own(documents.site.widths, id))
        .map(({ id, max }) => {
          const declared = declaredAt(documents, id);
          return (
            <span key={id} className="width-line">
              up to
              <DraftField
                mono
                label={`Width of up to ${max} px`}
                stored={String(max)}
                edit={(typed) => ({
                  name: 'setWidth',
                  args: { width: id, max: Math.round(Number(typed)) },
                })}
              />
              px · {count(declared, 'declaration')}
              <Popconfirm
                title={`Take the width of ${max} px away?`}
                description={
                  declared === 0
                    ? 'Nothing is declared there.'
                    : `${count(declared, 'declaration')} there ${declared === 1 ? 'holds' : 'hold'} nowhere any more. Undo brings all back.`
                }
                okText="Take it away"
                cancelText="Keep it"
                onConfirm={() => set(id, null)}
              >
                <button type="button" className="as-link">
                  take away
                </button>
              </Popconfirm>
            </span>
          );
        })}
      <span className="width-line">
        <NumberField
          lost={sayLost}
          label="A new width, in px"
          language={documents.site.language}
          least={200}
          most={4000}
          whole
          placeholder="px"
          value={added}
          onChange={setAdded}
          onEnter={() => {
            if (added !== null && set('w' + newId(), added)) setAdded(null);
          }}
        />
        <Button
          size="small"
          disabled={added === null}
          onClick={() => {
            if (added !== null && set('w' + newId(), added)) setAdded(null);
          }}
        >
          Add a width
        </Button>
      </span>
    </div>
  );
}

/** How many declarations of the whole site are made at a width. */
function declaredAt(documents: Documents, width: string): number {
  const at = (block: object) =>
    Object.keys(block).filter((key) => keyParts(key).width === width).length;
  let found = 0;
  for (const block of Object.values(documents.tags.tags)) found += at(block);
  for (const { style } of allOf(documents, 'style')) found += at(style);
  for (const doc of [...allOf(documents, 'page'), ...allOf(documents, 'component')]) {
    for (const node of Object.values(doc.nodes))
      for (const [, block] of blocksOfNode(node)) found += at(block);
    if (doc.kind === 'component')
      for (const { patch } of Object.values(doc.rules))
        for (const { style } of Object.values(patch)) found += at(style ?? {});
  }
  return found;
}
