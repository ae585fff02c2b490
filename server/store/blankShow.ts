import { join } from "node:path";

/** The database that a build makes with the texts that ship: new shows begin as a copy of it. @param home folder of this project */
export const blankShow = (home: string): string => join(home, "build", "blank.vesko.db");
