import { t } from "../../core/language/t.ts";
import type { Opened } from "../access/pairing.ts";
import type { Services } from "../services/services.ts";
import type { Doors } from "./doors.ts";
import { plainPage } from "./plainPage.ts";

/** Where a device types the short code that the desk shows, and what its page is called. One code is good at any of them. */
const PAGES = [
  { path: "/screen", title: t`Screen`, heading: t`This device becomes a screen`, button: t`Show` },
  { path: "/remote", title: t`Remote`, heading: t`This phone becomes a remote`, button: t`Open` },
  { path: "/table", title: t`Table`, heading: t`A table to fill in`, button: t`Open` },
] as const;

export function addPairRoutes(doors: Doors, services: Services): void {
  const { links, screens, pairing } = services;
  const addressOf = ({ kind, id }: Opened): string | undefined => {
    if (kind !== "output") {
      const link = links.findMade(kind, id);
      return link && `/${kind === "entry" ? "table" : "remote"}/${link.token}`;
    }
    return screens.outputs.some((output) => output.id === id) ? `/out/${links.tokenOfOutput(id)}` : undefined;
  };
  for (const { path, title, heading, button } of PAGES) {
    const page = (sentence: string) =>
      plainPage(
        title,
        `<form method="get" action="${path}"><h1>${heading}</h1>
<p><label for="code">${sentence}</label></p>
<p><input id="code" class="code" name="code" inputmode="numeric" autocomplete="off" maxlength="6" autofocus> <button>${button}</button></p></form>`,
      );
    doors.get("anyone", path, (request, response) => {
      response.setHeader("Cache-Control", "no-store");
      const code =
        typeof request.query.code === "string" ? request.query.code.replace(/\D/g, "").slice(0, 6) : "";
      // Whoever only asks whether the page is there uses no code up.
      if (code === "" || request.method === "HEAD") {
        response.type("html").send(page(t`Type the six figures that the desk shows.`));
        return;
      }
      const redeemed = pairing.redeem(code, doors.access(request).peer.address);
      if (redeemed && "waitMs" in redeemed) {
        const seconds = Math.ceil(redeemed.waitMs / 1_000);
        const sentence = t`Too many wrong codes from this device. Wait ${seconds} seconds, then type it again.`;
        response.status(429).type("html").send(page(sentence));
        return;
      }
      const address = redeemed && addressOf(redeemed);
      if (address === undefined)
        response
          .status(404)
          .type("html")
          .send(page(t`That code is not valid, or was used. Ask the desk for a new one.`));
      else response.redirect(address);
    });
  }
}
