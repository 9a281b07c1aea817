import { ordersFor, text, type Literal, type SpecOf } from '@sormet/core/model';
import { ofItem, property } from './sources';
import { styled } from './styled';
import { component, on } from './written-component';

const [first, second] = ordersFor(2);

/** Questions as one property: a record for each, with its answer. */
const QUESTIONS: SpecOf<'list'> = {
  kind: 'list',
  fields: {
    'question-asked': { label: 'Question', key: 'question', order: first!, type: { kind: 'text' } },
    'question-answer': { label: 'Answer', key: 'answer', order: second!, type: { kind: 'text' } },
  },
};

/** What people ask before they come. */
const ASKED: readonly (readonly [question: string, answer: string])[] = [
  [
    'What does it cost?',
    'The parts, and what the evening was worth to you. There is a tin by the door.',
  ],
  [
    'Do I have to know anything?',
    'No. You sit beside somebody who does, and next time you know it too.',
  ],
  [
    'What if it cannot be mended?',
    'Then we take it apart together, keep what is good, and you know why.',
  ],
];

function listOf(asked: typeof ASKED): Literal {
  return {
    is: 'value',
    type: 'list',
    value: asked.map(([question, answer], i) => ({
      id: `question-${i + 1}`,
      values: {
        'question-asked': { type: 'text', value: question },
        'question-answer': { type: 'text', value: answer },
      },
    })),
  };
}

/** Questions that open, one at a time: `details` of one name (HTML Living Standard, 4.11.1). */
export const questions = component(
  'questions',
  'Sections/Questions',
  {
    tag: 'section',
    name: 'Questions',
    shared: on('wide', 'room', 'room-less'),
    children: [
      { tag: 'h2', name: 'Heading', text: property('questions-heading') },
      {
        tag: 'div',
        name: 'All of them',
        style: styled({ 'margin-top': '{space 4}', 'border-top': '{fine line}' }),
        children: [
          {
            id: 'questions-each',
            repeat: { from: { list: property('questions-list') }, where: {}, order: {} },
            children: [
              {
                tag: 'details',
                name: 'Question',
                attributes: { name: text('questions') },
                style: styled({ 'padding-block': '{space 3}', 'border-bottom': '{fine line}' }),
                children: [
                  {
                    tag: 'summary',
                    name: 'Asked',
                    text: ofItem('questions-each', 'question-asked'),
                    style: styled({ 'font-weight': '{bold}', cursor: 'pointer' }),
                  },
                  { tag: 'p', name: 'Answer', text: ofItem('questions-each', 'question-answer') },
                ],
              },
            ],
          },
        ],
      },
    ],
  },
  {
    'questions-heading': { label: 'Heading', byDefault: text('Before you come') },
    'questions-list': { label: 'Questions', byDefault: listOf(ASKED), type: QUESTIONS },
  },
);
