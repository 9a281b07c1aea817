import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Button } from 'antd';
import { canBeExposed, controlsOf } from '@sormet/core/edit';
import { docOf, entryTitle } from '@sormet/core/model';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useApp, useAppDispatch } from '../store/store';
import { shortReach } from '../words';
import { exposureOf, useExposing } from '../values/exposing';

/** What can be done about what the sentence says: with one press a text is exposed, or the entry opened that gives it. */
export function Offered(): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const exposing = useExposing();
  const offer = useApp((state) => state.bench.offer);
  if (offer?.is === 'entry') {
    const entry = docOf(documents, 'entry', offer.entry);
    if (!entry) return null;
    return (
      <Button
        size="small"
        onClick={() => void navigate(`/sites/${sync.site}/content/${entry.type}/${entry.id}`)}
      >
        Open {entryTitle(documents, entry)}
      </Button>
    );
  }
  if (offer?.is === 'rich') {
    const { definition, node } = offer;
    return (
      <Button
        size="small"
        onClick={() => {
          if (sync.edit({ name: 'makeRich', args: { doc: definition, node } }))
            dispatch(
              benchActions.notice(
                'It is rich in the definition now. Double click it, and Ctrl+B, Ctrl+I and Ctrl+K do what they say.',
              ),
            );
        }}
      >
        Make it rich there: {shortReach(reach.answer(definition))}
      </Button>
    );
  }
  const component = offer && docOf(documents, 'component', offer.definition);
  const row =
    component &&
    controlsOf(documents, component).find(
      ({ node, control }) => node === offer.node && control.of === 'text',
    );
  if (!component || !row) return null;
  return (
    <>
      {canBeExposed(row) ? (
        <Button
          size="small"
          onClick={() => {
            if (exposing.expose(component, [exposureOf(row)]))
              dispatch(
                benchActions.notice(
                  `It is exposed as “${row.label}”: every instance may set it now. Double click it to write here.`,
                ),
              );
          }}
        >
          Expose it
        </Button>
      ) : null}
      <Button size="small" onClick={() => dispatch(benchActions.openBeside(component.id))}>
        Open the definition
      </Button>
    </>
  );
}
