import type { RouterContextProvider } from "react-router";
import type { Access } from "../server/access/access.ts";
import { allowedServices, requestFacts } from "../server/http/requestContext.ts";
import type { Services } from "../server/services/services.ts";

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
export { editByLink, tableOfLink } from "../server/feeds/entryDesk.ts";
export { designAsItIs, editDesign, versionsTold } from "../server/host/editDesigns.ts";
export { usesHere, usesInOtherEvenings } from "../server/host/mediaUses.ts";
export { wornBy } from "../server/host/showHost.ts";
export { touchesOf } from "../server/host/touches.ts";
export { wearHouseStyle } from "../server/host/wearStyle.ts";
export { whyFontStays } from "../server/host/whyFontStays.ts";
export { jsonOnce } from "../server/http/jsonOnce.ts";
export { deskDesigns, shownElsewhere, shownStyles, shownWardrobes } from "../server/live/deskDesigns.ts";
export { log } from "../server/log/log.ts";
export { tryOut } from "../server/rundown/tryOut.ts";
export { isFresh, takeFirstSteps } from "../server/services/firstSteps.ts";
export { screensEditSchema } from "../server/store/screenStore.ts";
export { findWords } from "../server/words/find.ts";
