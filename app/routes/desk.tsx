import { useEffect, useState } from "react";
import { Outlet, type ShouldRevalidateFunctionArgs } from "react-router";
import { t } from "../../core/language/t.ts";
import { DeskContext } from "../desk/deskContext.ts";
import type { DeskData } from "../desk/deskData.ts";
import type { DeskStart } from "../desk/deskSnapshot.ts";
import { DeskStore } from "../desk/deskStore.ts";
import { DESK_START, fetchDeskStart } from "../desk/fetchDeskStart.ts";
import { Header } from "../desk/Header.tsx";
import { RehearsalBanner } from "../desk/RehearsalBanner.tsx";
import { StorageBanner } from "../desk/StorageBanner.tsx";
import { useKeptCues } from "../desk/useKeptCues.ts";
import { useToldSeq } from "../desk/useToldSeq.ts";
import { DropAnywhere } from "../drop/DropAnywhere.tsx";
import { FindBox } from "../find/FindBox.tsx";
import { HelpSheet } from "../help/HelpSheet.tsx";
import { only } from "../rights.server.ts";
import { getAccess, getServices, log } from "../services.server.ts";
import type { Route } from "./+types/desk.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs): DeskData {
  const services = getServices(context);
  const { links, house, scriptures, screens } = services;
  const { caller, peer } = getAccess(context);
  if (caller.kind === "session")
    services.sessions
      .seen(caller.sessionId, peer.address)
      .catch((error) => log.warn("When a browser was here was not written down", error));
  return {
    place: house.place,
    watchToken: links.watchToken,
    hookToken: links.hookToken,
    addresses: services.addresses,
    hasPasscode: services.passcode.isSet,
    makesSlides: services.slideConverter !== undefined,
    outputTokens: Object.fromEntries(screens.outputs.map(({ id }) => [id, links.tokenOfOutput(id)])),
    texts: scriptures.list().map(({ code, name, language }) => ({ code, name, language })),
    licence: house.licence,
  };
}

/** Asked for while the page's own script is still on its way. */
export const links = () => [
  { rel: "preload", href: DESK_START, as: "fetch", crossOrigin: "anonymous" as const },
];

/** Where the desk that is open began; what is asked for again leaves it as it is. */
let open: DeskStart | undefined;

export async function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  const [data, start] = await Promise.all([serverLoader(), open ?? fetchDeskStart()]);
  return { ...data, start };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return (
    <main className="grid h-dvh place-content-center">
      <p className="text-second">{t`Opening the desk…`}</p>
    </main>
  );
}

/** The live channel keeps the desk current; what a view changed besides is asked for again when it says so. */
export function shouldRevalidate({ currentUrl, nextUrl }: ShouldRevalidateFunctionArgs) {
  return currentUrl.href === nextUrl.href;
}

export default function DeskRoute({ loaderData }: Route.ComponentProps) {
  const { start, place } = loaderData;
  const [store] = useState(() => new DeskStore(start));
  useEffect(() => {
    open = start;
    store.connect();
    return () => {
      open = undefined;
      store.disconnect();
    };
  }, [store, start]);
  useKeptCues(store);
  const element = useToldSeq(store);
  return (
    <DeskContext value={store}>
      <div ref={element} data-desk className="flex h-dvh min-h-[480px] flex-col overflow-hidden">
        <Header place={place} />
        <StorageBanner />
        <RehearsalBanner />
        <Outlet />
        <FindBox />
        <HelpSheet />
        <DropAnywhere />
      </div>
    </DeskContext>
  );
}
