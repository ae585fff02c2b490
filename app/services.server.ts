import type { RouterContextProvider } from "react-router";
import { type Services, servicesContext } from "../server/services.ts";

/** The services of this process, for loaders and actions. */
export function getServices(context: Readonly<RouterContextProvider>): Services {
  return context.get(servicesContext());
}

export { wornBy } from "../server/live/showHost.ts";
export { tryOut } from "../server/live/tryOut.ts";
export { screensEditSchema } from "../server/store/screenStore.ts";
export { type Finds, findWords } from "../server/words/find.ts";
