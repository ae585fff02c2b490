/** The designs that ship, for tests of core: it knows none of them itself. */
export * from "../designs/fieldSets.ts";
export * from "../designs/houseStyles.ts";
export * from "../designs/moves.ts";
export * from "../designs/parts.ts";
export * from "../designs/samples.ts";
export * from "../designs/starter.ts";
export * from "../designs/starterScreens.ts";
export * from "../designs/templates/band.ts";
