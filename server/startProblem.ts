/** A start that cannot go on, told in a sentence for the person at the terminal. */
export class StartProblem extends Error {}
