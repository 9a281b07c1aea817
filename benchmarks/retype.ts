import { docOf } from '@sormet/core/model';
import { whatBecomes } from '@sormet/core/edit';
import { member, Reach } from '@sormet/core/reach';
import { dataOf } from '@sormet/core/value';
import { median, rounded, type Report } from './measure';
import { PlacedSite } from './placed-site';

const PAGES = 100;
const EACH = 200;
const ROUNDS = 7;
const COMPONENT = 'mender-card';
const PROPERTY = 'mender-name';

/** A property with 20,000 stored values given another type: what is told before, and how long the site is held by it. */
export async function retype(): Promise<Report> {
  const site = await PlacedSite.make(PAGES, EACH);
  try {
    const reach = new Reach(site.documents);
    const instances = reach.usesOf(member(COMPONENT, PROPERTY));
    const planned: number[] = [];
    const retyped: number[] = [];
    const labelled: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      const component = docOf(site.documents, 'component', COMPONENT)!;
      const to = { kind: round % 2 === 0 ? ('number' as const) : ('text' as const) };
      const start = performance.now();
      const plan = whatBecomes(
        site.documents,
        component,
        PROPERTY,
        to,
        instances,
        dataOf(site.documents),
      );
      planned.push(performance.now() - start);
      if (plan.length <= PAGES * EACH) throw new Error(`The plan tells of ${plan.length} values.`);
      const args = { component: COMPONENT, property: PROPERTY };
      retyped.push(await site.send({ name: 'setProperty', args: { ...args, set: { type: to } } }));
      labelled.push(
        await site.send({ name: 'labelProperty', args: { ...args, label: `Name ${round}` } }),
      );
    }
    const label = median(labelled);
    const reference = `an edit of one label, ${label.toFixed(1)} ms`;
    return {
      name: 'retype',
      about: `${PAGES * EACH} stored values of one property`,
      rows: [
        {
          what: 'the plan: what each value will show',
          figure: `${median(planned).toFixed(1)} ms`,
          ratio: rounded(median(planned) / label),
          reference,
          aim: '',
        },
        {
          what: 'the edit, from sending to the answer: no longer is the site held',
          figure: `${median(retyped).toFixed(1)} ms`,
          ratio: rounded(median(retyped) / label),
          reference,
          aim: '',
        },
      ],
    };
  } finally {
    await site.remove();
  }
}
