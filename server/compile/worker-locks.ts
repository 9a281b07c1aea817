/** The class of the advisory locks that workers hold as long as they are there (“work” in ASCII). */
export const WORKER_LOCKS = 0x776f726b;
