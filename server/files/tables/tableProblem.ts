/** Why bytes are no table, as the end of a sentence: "it is not a whole ZIP file." */
export class TableProblem extends Error {}
