import type { ReactNode } from 'react';
import { ArrowUp, X } from 'lucide-react';
import {
  readTransforms,
  TRANSFORMS,
  writeTransforms,
  type TransformStep,
} from '@sormet/core/style';
import { IconButton } from '../../../parts/IconButton';
import { PartField } from './PartField';
import type { PicturedCell } from './pictured-cell';
import { usePicture } from './use-picture';

/** What each of a function's numbers is called. */
const GIVEN: Readonly<Record<string, readonly string[]>> = {
  translate: ['to the right', 'down'],
  scale: ['times', 'times, down'],
  rotate: ['by'],
  skew: ['along', 'down'],
};
const WORDS: Readonly<Record<string, string>> = {
  translate: 'move',
  rotate: 'turn',
  scale: 'scale',
  skew: 'slant',
};

/** The steps of a transform, drawn; a view of the CSS in the cell. */
export function Transforms({ cell }: { cell: PicturedCell }): ReactNode {
  const picture = usePicture(cell);
  const steps = picture.css === undefined ? [] : readTransforms(picture.css);
  const write = (next: readonly TransformStep[], part: string) =>
    picture.give(picture.words(writeTransforms(next)), part);
  if (!steps)
    return (
      <p className="quiet">
        What stands there is written in another way: it is edited in its cell.
      </p>
    );
  return (
    <div className="picture-editor">
      <span className="transform-drawn" aria-hidden>
        <i style={{ transform: picture.shows(writeTransforms(steps)) }} />
      </span>
      {steps.map(({ name, given }, i) => (
        <div key={i} className="parts" role="group" aria-label={`Step ${i + 1}: ${name}`}>
          <code className="part-name">{name}</code>
          {given.map((each, g) => (
            <PartField
              key={g}
              label={GIVEN[name]?.[g] ?? `${name} ${g + 1}`}
              first={i === 0 && g === 0}
              stored={picture.words(each)}
              give={(typed) =>
                write(
                  steps.map((step, other) =>
                    other === i
                      ? { ...step, given: step.given.map((was, at) => (at === g ? typed : was)) }
                      : step,
                  ),
                  `${i} ${g}`,
                )
              }
            />
          ))}
          {i > 0 ? (
            <IconButton
              icon={ArrowUp}
              name={`${name}: before the one above`}
              onPress={() => {
                const next = [...steps];
                next.splice(i - 1, 2, steps[i]!, steps[i - 1]!);
                write(next, `up ${i}`);
              }}
            />
          ) : null}
          <IconButton
            icon={X}
            name={`Take ${name} away`}
            onPress={() =>
              write(
                steps.filter((_, other) => other !== i),
                `without ${i}`,
              )
            }
          />
        </div>
      ))}
      <div className="layers">
        {Object.entries(TRANSFORMS).map(([name, { begins }], i) => (
          <button
            key={name}
            type="button"
            className="plain-button"
            data-first={steps.length === 0 && i === 0 ? true : undefined}
            onClick={() =>
              write([...steps, { name, given: begins }], `with ${name} ${steps.length}`)
            }
          >
            {WORDS[name]}
          </button>
        ))}
      </div>
    </div>
  );
}
