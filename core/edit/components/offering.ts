import { Type } from '@sinclair/typebox';
import { docOf } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone } from '../define';
import { componentName } from '../names';

/** Offers a component to editors as a section that they may put into the slots of pages, or no longer. */
export const offerComponent = defineEdit({
  args: Type.Object({ component: Id, offered: Type.Boolean() }, exact),
  run(documents, { component, offered }) {
    if (!docOf(documents, 'component', component)) return gone('the-component', component);
    return changeTo(documents, component, ['offered'], offered || undefined);
  },
  told: (documents, { component, offered }) =>
    say(offered ? 'offered-component' : 'offered-no-more', {
      component: componentName(documents, component),
    }),
});
