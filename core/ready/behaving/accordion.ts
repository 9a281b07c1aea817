import { referring, text } from '../../model';
import { writtenComponent } from '../written-component';
import { READY_FOLDER, type Behaving } from './behaving';
import { held, listOf, ofItem, records, styled } from './saying';

const QUESTIONS = listOf({ question: ['Question', 'text'], answer: ['Answer', 'rich'] });

/**
 * Questions that open and close (Authoring Practices, accordion pattern): `details`, which is one without a script; of one name
 * where one at a time is open (HTML Living Standard, 4.11.1).
 */
function accordion(key: string, label: string, isOneAtATime: boolean): Behaving {
  return {
    key,
    label,
    make: (id, styles) =>
      writtenComponent(
        id,
        `${READY_FOLDER}/${label}`,
        {
          id: `${id}-all`,
          tag: 'div',
          name: label,
          shared: styles.on('Wide', 'Section room'),
          children: [
            {
              id: `${id}-each`,
              repeat: { from: { list: held('questions') }, where: {}, order: {} },
              children: [
                {
                  tag: 'details',
                  name: 'Question',
                  attributes: isOneAtATime ? { name: text(referring(`${id}-all`)) } : {},
                  shared: styles.on('Lined'),
                  children: [
                    {
                      tag: 'summary',
                      name: 'Asked',
                      style: styled({
                        cursor: 'pointer',
                        'font-weight': '700',
                        padding: '0.75rem 0',
                      }),
                      children: [{ text: ofItem(`${id}-each`, 'question') }],
                    },
                    {
                      tag: 'div',
                      name: 'Answer',
                      style: styled({ 'padding-bottom': '0.75rem' }),
                      children: [{ text: ofItem(`${id}-each`, 'answer'), rich: 'blocks' }],
                    },
                  ],
                },
              ],
            },
          ],
        },
        {
          questions: {
            label: 'Questions',
            type: QUESTIONS,
            byDefault: records(
              QUESTIONS,
              ['What is asked first', 'What is answered to that.'],
              ['What is asked next', 'What is answered to that.'],
              ['What is asked last', 'What is answered to that.'],
            ),
          },
        },
      ),
  };
}

/** Any of the questions may be open. */
export const ACCORDION = accordion('ready-accordion', 'Accordion', false);
/** One that is opened closes the other. */
export const ACCORDION_ONE = accordion('ready-accordion-one', 'Accordion, one at a time', true);
