import { literal, text, yesNo } from '@sormet/core/model';
import { trap, type Branch } from '@sormet/core/ready';
import { property } from './sources';
import { styled } from './styled';
import { component, on } from './written-component';

const yes = yesNo(true);
const fieldStyle = styled({ display: 'grid', 'row-gap': '{space 1}' });
const wide = styled({ width: '100%', 'box-sizing': 'border-box' });

function field(label: string, input: Branch): Branch {
  return {
    tag: 'label',
    name: label,
    style: fieldStyle,
    children: [{ tag: 'span', text: label }, input],
  };
}

/** A form whose messages come to the inbox of the site; it works without scripts. */
export const contact = component(
  'contact',
  'Sections/Write to us',
  {
    tag: 'section',
    name: 'Write to us',
    shared: on('wide', 'room', 'room-less'),
    children: [
      { tag: 'h2', name: 'Heading', text: property('contact-heading') },
      { tag: 'p', name: 'Text', text: property('contact-text') },
      {
        tag: 'form',
        name: 'Form',
        attributes: { sends: yes, afterwards: property('contact-afterwards') },
        style: styled({
          display: 'grid',
          'row-gap': '{space 3}',
          'max-width': '34rem',
          'margin-top': '{space 4}',
        }),
        children: [
          field('Your name', {
            tag: 'input',
            name: 'Name',
            attributes: {
              type: text('text'),
              name: text('name'),
              autocomplete: text('name'),
              required: yes,
              maxlength: literal({ type: 'number', value: 100 }),
              wrong: text('Please say how we may call you.'),
            },
            style: wide,
          }),
          field('Your address for mail', {
            tag: 'input',
            name: 'Mail',
            attributes: {
              type: text('email'),
              name: text('mail'),
              autocomplete: text('email'),
              required: yes,
              wrong: text('We need an address to write back to, as name@example.org.'),
            },
            style: wide,
          }),
          field('What it is about', {
            tag: 'select',
            name: 'About',
            attributes: { name: text('about'), required: yes },
            children: [
              { tag: 'option', text: 'Something to mend' },
              { tag: 'option', text: 'Helping at a shed' },
              { tag: 'option', text: 'Something else' },
            ],
          }),
          field('Your words', {
            tag: 'textarea',
            name: 'Words',
            attributes: {
              name: text('words'),
              required: yes,
              rows: literal({ type: 'number', value: 5 }),
              maxlength: literal({ type: 'number', value: 4000 }),
            },
            style: wide,
          }),
          {
            tag: 'label',
            name: 'Call',
            style: styled({ display: 'flex', 'column-gap': '{space 2}' }),
            children: [
              {
                tag: 'input',
                name: 'Keep me told',
                attributes: { type: text('checkbox'), name: text('told') },
              },
              { tag: 'span', text: 'Tell me when a shed opens near me' },
            ],
          },
          trap({ style: styled({ display: 'none' }) }),
          {
            tag: 'div',
            children: [
              {
                tag: 'button',
                name: 'Send',
                attributes: { type: text('submit') },
                shared: on('button', 'button-main', 'button-usual'),
                text: property('contact-button'),
              },
            ],
          },
        ],
      },
    ],
  },
  {
    'contact-heading': { label: 'Heading', byDefault: text('Write to us') },
    'contact-text': {
      label: 'Text',
      byDefault: text('We read everything, and write back within a week.'),
    },
    'contact-afterwards': {
      label: 'Words afterwards',
      byDefault: text('Thank you. It is with us, and one of us will write back.'),
    },
    'contact-button': { label: 'Button', byDefault: text('Send it') },
  },
);
