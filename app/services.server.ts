import type { RouterContextProvider } from "react-router";
import type { Access } from "../server/access/access.ts";
import { allowedServices, requestFacts } from "../server/http/requestContext.ts";
import type { Services } from "../server/services.ts";

/** The services of this process, for loaders and actions whose route has let the request in. */
export function getServices(context: Readonly<RouterContextProvider>): Services {
  return context.get(allowedServices());
}

/** Who asks. */
export function getAccess(context: Readonly<RouterContextProvider>): Access {
  return context.get(requestFacts()).access;
}

export { liveTokenOf } from "../server/access/access.ts";
export { DESK_HEADER } from "../server/access/deskMode.ts";
export { isFresh, takeFirstSteps } from "../server/live/firstSteps.ts";
export { wornBy } from "../server/live/showHost.ts";
export { tryOut } from "../server/live/tryOut.ts";
export { log } from "../server/log.ts";
export { screensEditSchema } from "../server/store/screenStore.ts";
export { type Finds, findWords } from "../server/words/find.ts";
