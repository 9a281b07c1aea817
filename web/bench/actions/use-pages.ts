import { useNavigate } from 'react-router';
import { allOf, docOf, newId } from '@sormet/core/model';
import { duplicateOf, freePath } from '@sormet/core/edit';
import { emptyComponent, emptyPage } from '@sormet/core/ready';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import type { BenchAction } from './bench-action';

/** Pages and components as wholes: a new one, a duplicate of the one that is open, all of them published. */
export function usePages(doc: string): readonly BenchAction[] {
  const { documents } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const open = (id: string) => void navigate(`/sites/${sync.site}/bench/${id}`);
  const page = docOf(documents, 'page', doc);
  const action = (label: string, run: () => void): BenchAction => ({
    label,
    about: 'the bench',
    key: '',
    run,
  });
  return [
    action('add a page', () => {
      const taken = new Set(allOf(documents, 'page').map(({ path }) => path));
      const made = emptyPage(documents, freePath('/new-page', taken), 'New page');
      if (sync.edit({ name: 'addPage', args: { page: made } })) open(made.id);
    }),
    action('duplicate this page', () => {
      if (!page) {
        dispatch(benchActions.notice('A page is open when it can be duplicated.'));
        return;
      }
      const made = duplicateOf(documents, page, newId());
      if (sync.edit({ name: 'addPage', args: { page: made } })) open(made.id);
    }),
    action('make an empty component', () => {
      const names = new Set(allOf(documents, 'component').map(({ name }) => name));
      let name = 'Sections/New section';
      for (let n = 2; names.has(name); n += 1) name = `Sections/New section ${n}`;
      const made = emptyComponent(name);
      if (sync.edit({ name: 'addComponent', args: { component: made } })) open(made.id);
    }),
    action('publish', () => void navigate(`/sites/${sync.site}/releases`)),
  ];
}
