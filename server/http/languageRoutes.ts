import { chosen } from "#language";
import { LANGUAGE_OF_WINDOW, LANGUAGE_SCRIPT } from "../../core/language/language.ts";
import type { Doors } from "./doors.ts";

/** What windows say, in the language of this server. It runs before all that is said. */
export function addLanguageRoutes(doors: Doors): void {
  const script = `globalThis.${LANGUAGE_OF_WINDOW} = ${JSON.stringify(chosen())};`;
  doors.get("anyone", LANGUAGE_SCRIPT, (_request, response) => {
    response.setHeader("Cache-Control", "no-cache");
    response.type("text/javascript").send(script);
  });
}
