import { ACCORDION, ACCORDION_ONE } from './accordion';
import type { Behaving } from './behaving';
import { CAROUSEL } from './carousel';
import { DIALOG } from './dialog';
import { FILTER } from './filter';
import { FORM_IN_STEPS } from './form-in-steps';
import { LOADING_BUTTON } from './loading-button';
import { MENU } from './menu';
import { SHOW_MORE } from './show-more';
import { TABS } from './tabs';

export { READY_FOLDER, type Behaving } from './behaving';

/** Ready ones that do something, made of nothing but what every component may have. */
export const BEHAVING: readonly Behaving[] = [
  ACCORDION,
  ACCORDION_ONE,
  TABS,
  CAROUSEL,
  MENU,
  DIALOG,
  LOADING_BUTTON,
  SHOW_MORE,
  FORM_IN_STEPS,
  FILTER,
];
