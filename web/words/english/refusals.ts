import type { REFUSALS } from '@sormet/core/said';
import type { WordsOf } from '../words-of';

export const refusals: WordsOf<typeof REFUSALS> = {
  'id-taken': 'A document with this id is there already.',
  'ids-taken': 'The ids given are taken.',
  'only-picture-cropped': 'Only of a picture it is said where it is cropped.',
  'not-for-editors':
    'That is the designer’s: editors set values, fill slots with the sections that are offered, and write content.',
  'state-without-end': ({ label }) =>
    `“${label}” can be anything: a state is yes or no, one of some options, words, or a number between a least and a most of at most 24 steps, or one that counts what a list shows.`,
  'sets-no-state':
    'What an act sets is a state, of this definition or of a component around: make the property a state first.',
  'other-of-two': ({ label }) => `“${label}” is not yes or no: it has no other.`,
  'does-enough': ({ many }) => `More than ${many} are too many here.`,
  'acts-on-elements':
    'Only elements of the same page or component are scrolled to, focused, opened or closed.',
  'acts-on-one-of-many':
    'It stands once for each of a list: from outside of the list no one of them is meant.',
  'sends-forms': 'Only forms are sent: choose the form.',
  'counts-no-list': ({ label }) =>
    `“${label}” counts what one list of this component shows, which stands in no other list.`,
  'asks-no-address':
    'What is asked is a path of this site, as /bench, or an address that begins with https://.',
  'state-not-open': ({ label }) =>
    `“${label}” is not open to what stands around it: say so at the property first.`,
  'no-next-words': ({ label }) => `“${label}” is words: they have no next ones.`,
  'which-key': 'Say which key it is.',
  'only-elements-act':
    'Only elements do something when they are pressed: choose the element inside.',
  'ends-before-it-begins': 'It would be taken back before it is published: choose a later end.',
  'no-time-zone': ({ zone }) => `${zone} is no time zone that is known here.`,
  'ids-taken-or-few': 'The ids given are taken, or too few.',
  'node-id-taken': 'A node with this id is there already.',
  'thing-id-taken': 'There is something of this id already.',
  'key-of-other': ({ label, key }) => `${label} has the key ${key} already.`,
  'does-not-fit-there': ({ label }) => `${label} does not fit there.`,
  'default-is-a-value': 'A default is a value.',
  'only-set-value-as-default': 'Only a value set here can become the default.',
  'one-of-these-already': 'It is one of these already.',
  'of-another-type': ({ label }) => `${label} is of another type.`,
  'from-elsewhere-already': ({ label }) => `${label} has its value from elsewhere already.`,
  'file-of-another-sort': 'A font stays a font: only another font can be put in its place.',
  'font-is-not-seen': 'A font is no picture: nothing stands for it where it is not seen.',
  'title-field-stays':
    'People know an entry by this field. Say first which other field is its title.',
  'root-stays': 'The root of a document stays where it is.',
  'only-placed-becomes-component': 'An element or an instance can become a component.',
  'holds-slot-of-definition': 'It holds a slot of the definition around; that stays where it is.',
  'reads-more-than-expected': 'It reads more of its surroundings than was expected.',
  'acts-read-around':
    'What something in it does when it is pressed reads what stands around it, which a component does not know: take that away first.',
  'declaration-reads-around':
    'One of its declarations reads its surroundings; that cannot be handed in yet.',
  'repeats-by-outside':
    'It repeats by a condition read from outside; that cannot be handed in yet.',
  'plain-entry-chosen': 'It reads fields of an entry that was chosen; that cannot be made plain.',
  'root-is-placed': 'The root of a document is an element or an instance.',
  'plain-slot-shown':
    'Whether its slot shows depends on a value, and so does whether what stands in it shows; that cannot be made plain.',
  'plain-records-unknown': 'Which records it shows depends on content; that cannot be made plain.',
  'plain-state-of-whole':
    'Something in it changes when the whole is pointed at; plain elements cannot say that.',
  'plain-variant-unknown': 'Which variant it is depends on content; that cannot be made plain.',
  'stays-choice-while-axis':
    'Variants are chosen by it: it stays a choice until it is no axis any more.',
  'rules-name-axis': ({ many }) =>
    `It stays a choice of variants while they differ: ${many === 1 ? 'one rule names' : `${many} rules name`} its options.`,
  'no-axis': 'Variants are named by choices that are marked as such.',
  'no-option': 'There is no such option.',
  'last-option': 'It is the last option: a choice has one at least.',
  'base-needs-another': 'It is the option of the base: say first which one takes its place.',
  'rules-came-meanwhile':
    'Meanwhile something else was said of this option. Nothing was changed: try it again.',
  'same-in-all-variants':
    'That is the same in all variants: light the base, and it changes for all of them.',
  'rule-is-there': 'There is a rule for that already.',
  'only-element-replaced': 'Only an element is replaced like this.',
  'file-is-no-font': 'that file is no font',
  'font-is-there': ({ family }) => `${family} is here already, in this weight and style`,
  'limited-stays-plain': ({ most }) =>
    `its property takes ${most} characters at most, and rich text cannot keep to that`,
  'only-placed-has-look':
    'Only an element or an instance has a look: words and slots have that of what they stand in.',
  gone: ({ what }) => `${what} is gone; somebody has removed it.`,
  'too-many-changes': ({ many, most }) =>
    `This would change ${many} things at once; ${most} is the most. Do it in parts.`,
  'not-as-expected': 'Something is not as it was expected here.',
  'page-below-itself': 'A page cannot move below itself.',
  'no-slot-for-page': ({ component }) => `${component} has no slot that a page could stand in.`,
  'only-repeat-queries': 'Only a repeat asks for entries.',
  'list-unreadable': 'This list cannot be read here, or its records have no fields.',
  'root-stands-once': 'The root of a document stands once.',
  'only-placed-repeats': 'An element or an instance can be repeated.',
  'no-repeat': 'This is no repeat.',
  'rule-look-is-declared': 'How something looks by a rule is declared in it.',
  'width-taken': ({ max }) => `There is a width of ${max} px already.`,
  'no-tag-to-style': ({ tag }) => `There is no tag ${tag} to style.`,
  'every-element-only-states':
    'What holds for every element is a state, as the ring of focus. What all words have is said of the body.',
  'needs-no-part': 'Whoever places it styles the whole anyway: it needs no part.',
  'part-name-taken': ({ part, of }) => `Another part is called “${part}”: ${of}.`,
  'no-part': 'The definition does not let this be styled from here.',
  'declares-otherwise': ({ key }) => `It declares ${key} otherwise by now.`,
  'style-has-name': 'A shared style has a name.',
  'style-name-taken': ({ name }) => `There is a shared style ${name} already.`,
  'modifies-itself': ({ way }) => `It would modify itself: ${way.join(' → ')}.`,
  'token-holds-else': ({ token, would }) => `${token} holds something else than ${would} would.`,
  'two-tokens-called': ({ name }) => `Two tokens would be called ${name}.`,
  'theme-id-taken': 'There is a theme of this id already.',
  'token-id-taken': 'There is a token of this id already.',
  'not-that-any-more': ({ css }) => `What stands there is not ${css} any more.`,
  'border-side-by-side': 'A border is declared side by side.',
  'token-in-own-place': 'A token cannot stand in its own place.',
  'token-of-other-kind': 'Only a token of the same kind can stand in its place.',
  'token-has-name': 'A token has a name.',
  'token-name-braces': 'No name of a token holds { or }.',
  'token-name-taken': ({ name }) => `There is a token ${name} already.`,
  'base-first': ({ style, base }) => `${style} modifies ${base}: put that on first.`,
  'nothing-to-paste': 'Nothing was given to paste.',
  'nothing-to-place': 'Nothing was given to place.',
  'inside-itself': 'Nothing can stand inside itself.',
  'root-not-removed': 'The root cannot be removed.',
  'text-has-value': 'A text always has a value.',
  'only-element-has-tag': 'Only an element has a tag.',
  'tag-holds-nothing': ({ tag }) => `${tag} holds nothing, and there is something in this.`,
  'not-around-everything': 'Nothing can stand around what everything else stands in.',
  'wrap-side-by-side': 'Only what stands beside each other can be wrapped together.',
  'only-element-unwrapped': 'Only an element can be taken from around.',
  'everything-stands-in': 'Everything stands in this: it stays.',
  'other-kind-by-now': 'Something else is called that by now.',
  'as-it-was-then': 'It is as it was then already.',
  'nothing-to-mend': 'There is nothing to mend here any more.',
  'root-is-gone': ({ doc }) =>
    `Its root is what is gone; nothing of ${doc} would be left. Bring the component back, or remove it.`,
  'not-in-history': 'What should be taken back is not in the history of this site.',
  'changed-since': 'Somebody has changed this since; it cannot be taken back as it was.',
};
