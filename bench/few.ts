/** `npm run bench -- --short`: whether all of it runs; its figures say nothing. */
export const IS_SHORT = process.argv.includes("--short");

/** How many, or how large: as it is measured, and where only asked is whether it runs. */
export const few = (usual: number, short: number): number => (IS_SHORT ? short : usual);
