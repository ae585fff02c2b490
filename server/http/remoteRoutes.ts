import type { Services } from "../services/services.ts";
import type { Doors } from "./doors.ts";

/** What makes a phone keep the page of its remote as a program of its own. Source: W3C Web Application Manifest. */
export function addRemoteRoutes(doors: Doors, services: Services): void {
  doors.get("remote", "/remote/:token/app.webmanifest", (request, response) => {
    const token = String(request.params.token);
    const link = services.links.find(token);
    const name = link?.kind === "remote" ? link.doc.name : "Remote";
    response.setHeader("Cache-Control", "no-store");
    response.type("application/manifest+json").send(
      JSON.stringify({
        ...{ name: `${name} · Vesko`, short_name: name.slice(0, 12), display: "standalone" },
        ...{ start_url: `/remote/${token}`, scope: `/remote/${token}`, orientation: "portrait" },
        ...{ background_color: "#15110f", theme_color: "#15110f" },
        icons: [{ src: "/favicon.svg", sizes: "any", type: "image/svg+xml", purpose: "any" }],
      }),
    );
  });
}
