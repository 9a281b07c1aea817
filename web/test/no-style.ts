/** What a style sheet is where nothing is laid out. */
export default {};
