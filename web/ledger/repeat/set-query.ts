import type { ArgsOf } from '@sormet/core/edit';

/** What of a repeat's query is set. */
export type SetQuery = ArgsOf<'setQuery'>['set'];
