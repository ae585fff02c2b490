import { useEffect, useState } from "react";
import { Outlet, type ShouldRevalidateFunctionArgs } from "react-router";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { contentsOf } from "../../core/show/state.ts";
import { DeskContext } from "../desk/deskContext.ts";
import type { DeskData } from "../desk/deskData.ts";
import { DeskStore } from "../desk/deskStore.ts";
import { Header } from "../desk/Header.tsx";
import { RehearsalBanner } from "../desk/RehearsalBanner.tsx";
import { StorageBanner } from "../desk/StorageBanner.tsx";
import { useKeptCues } from "../desk/useKeptCues.ts";
import { useToldSeq } from "../desk/useToldSeq.ts";
import { DropAnywhere } from "../drop/DropAnywhere.tsx";
import { FindBox } from "../find/FindBox.tsx";
import { HelpSheet } from "../help/HelpSheet.tsx";
import { only } from "../rights.server.ts";
import { deskDesigns, getAccess, getServices, liveTokenOf, log, wornBy } from "../services.server.ts";
import type { Route } from "./+types/desk.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs): DeskData {
  const services = getServices(context);
  const { host, rundown, contents, links, live, house, buildId, scriptures, screens, designs } = services;
  const { caller, peer } = getAccess(context);
  if (caller.kind === "session")
    services.sessions
      .seen(caller.sessionId, peer.address)
      .catch((error) => log.warn("When a browser was here was not written down", error));
  const cues = rundown.views();
  const wanted = new Set(contentsOf(host.state));
  for (const { compiled } of cues) if ("hash" in compiled) wanted.add(compiled.hash);
  const documents: Record<string, PinnedDocument> = {};
  for (const hash of [...wanted].flatMap((hash) => [hash, ...wornBy(contents, hash)])) {
    const document = contents.find(hash);
    if (document) documents[hash] = document;
  }
  return {
    place: house.place,
    ...deskDesigns(designs),
    outputs: screens.outputs,
    plans: screens.plans,
    watchToken: links.watchToken,
    hookToken: links.hookToken,
    addresses: services.addresses,
    hasPasscode: services.passcode.isSet,
    makesSlides: services.slideConverter !== undefined,
    outputTokens: Object.fromEntries(screens.outputs.map(({ id }) => [id, links.tokenOfOutput(id)])),
    deskToken: liveTokenOf(caller, links),
    buildId,
    state: host.state,
    rundownStamp: live.rundownStamp,
    cues,
    documents,
    screens: live.screens(),
    texts: scriptures.list().map(({ code, name, language }) => ({ code, name, language })),
    licence: house.licence,
    venue: services.venue.settings,
    evening: services.evenings.open,
  };
}

/** The live channel keeps the desk current; what a view changed besides is asked for again when it says so. */
export function shouldRevalidate({ currentUrl, nextUrl }: ShouldRevalidateFunctionArgs) {
  return currentUrl.href === nextUrl.href;
}

export default function DeskRoute({ loaderData }: Route.ComponentProps) {
  const [store] = useState(() => new DeskStore(loaderData));
  useEffect(() => {
    store.connect();
    return () => store.disconnect();
  }, [store]);
  useKeptCues(store);
  const element = useToldSeq(store);
  return (
    <DeskContext value={store}>
      <div ref={element} data-desk className="flex h-dvh min-h-[480px] flex-col overflow-hidden">
        <Header place={loaderData.place} />
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
