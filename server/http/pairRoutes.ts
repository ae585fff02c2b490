import type { Services } from "../services/services.ts";
import type { Doors } from "./doors.ts";
import { plainPage } from "./plainPage.ts";

const page = (sentence: string) =>
  plainPage(
    "Screen",
    `<form method="get" action="/screen"><h1>This device becomes a screen</h1>
<p><label for="code">${sentence}</label></p>
<p><input id="code" class="code" name="code" inputmode="numeric" autocomplete="off" maxlength="6" autofocus> <button>Show</button></p></form>`,
  );

/** Where a device types the short code that the desk shows for an output. */
export function addPairRoutes(doors: Doors, services: Services): void {
  doors.get("anyone", "/screen", (request, response) => {
    response.setHeader("Cache-Control", "no-store");
    const code =
      typeof request.query.code === "string" ? request.query.code.replace(/\D/g, "").slice(0, 6) : "";
    // Whoever only asks whether the page is there uses no code up.
    if (code === "" || request.method === "HEAD") {
      response.type("html").send(page("Type the six figures that the desk shows."));
      return;
    }
    const redeemed = services.pairing.redeem(code, doors.access(request).peer.address);
    if (typeof redeemed === "object")
      response
        .status(429)
        .type("html")
        .send(
          page(
            `Too many wrong codes from this device. Wait ${Math.ceil(redeemed.waitMs / 1_000)} seconds, then type it again.`,
          ),
        );
    else if (redeemed === undefined || !services.screens.outputs.some(({ id }) => id === redeemed))
      response
        .status(404)
        .type("html")
        .send(page("That code is not valid, or was used. Ask the desk for a new one."));
    else response.redirect(`/out/${services.links.tokenOfOutput(redeemed)}`);
  });
}
