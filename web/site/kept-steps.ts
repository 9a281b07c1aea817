import { Type } from '@sinclair/typebox';
import { Change, EDIT_ID_PATTERN } from '@sormet/core/edit';
import { isTooDeep, schemaFindings } from '@sormet/core/model';
import { SAID } from '@sormet/core/said';
import { keep, kept } from '../store/kept';
import type { Step } from '../store/pending';

/** What can be taken back, and what can be done again, the last at the end. */
export interface Steps {
  readonly undo: readonly Step[];
  readonly redo: readonly Step[];
}

export const NO_STEPS: Steps = Object.freeze({ undo: [], redo: [] });

/** How many steps outlive the window, and how much room they may take, in characters. */
const MOST_STEPS = 60;
const MOST_ROOM = 400_000;

const exact = { additionalProperties: false };
const KeptStep = Type.Object(
  {
    said: SAID,
    group: Type.Union([Type.String(), Type.Null()]),
    edits: Type.Array(
      Type.Object(
        { id: Type.String({ pattern: EDIT_ID_PATTERN }), said: SAID, changes: Type.Array(Change) },
        exact,
      ),
      { minItems: 1, maxItems: 500 },
    ),
  },
  exact,
);

function keyOf(site: string): string {
  return `sormet.steps.${site}`;
}

/** The steps that this browser keeps of a site, by whichever of its windows they were done. */
export function keptSteps(site: string): Steps {
  return kept(keyOf(site), readSteps, NO_STEPS);
}

function readSteps(stored: unknown): Steps | undefined {
  const { undo, redo } = (stored ?? {}) as Partial<Record<keyof Steps, unknown>>;
  // From the last that can be read on: what came before one that cannot would be taken back out of turn.
  const read = (steps: unknown): Step[] => {
    const all = Array.isArray(steps) ? (steps as unknown[]) : [];
    const bad = all.findLastIndex(
      (step) => isTooDeep(step) || schemaFindings(KeptStep, step).length > 0,
    );
    return all.slice(bad + 1) as Step[];
  };
  return stored === null ? undefined : { undo: read(undo), redo: read(redo) };
}

/** Keeps the last steps of a site in this browser, for all of its windows: as many as have room. */
export function keepSteps(site: string, { undo, redo }: Steps): void {
  let room = MOST_ROOM;
  const last = (steps: readonly Step[]) => {
    const fit: Step[] = [];
    for (const step of steps.slice(-MOST_STEPS).reverse()) {
      room -= JSON.stringify(step).length;
      if (room < 0) break;
      fit.unshift(step);
    }
    return fit;
  };
  keep(keyOf(site), { undo: last(undo), redo: last(redo) });
}

/** Tells of the steps whenever another window of this browser has changed them. @returns what ends that */
export function onOthersSteps(site: string, heard: (steps: Steps) => void): () => void {
  const listen = ({ key }: StorageEvent) => {
    if (key === keyOf(site)) heard(keptSteps(site));
  };
  window.addEventListener('storage', listen);
  return () => window.removeEventListener('storage', listen);
}
