import type { Services } from "../services/services.ts";
import type { Doors } from "./doors.ts";

/** For whatever watches the machine: whether the server answers, and whether what is on air is written down. */
export function addHealthRoutes(doors: Doors, services: Services): void {
  doors.get("anyone", "/healthz", (_request, response) => {
    response.setHeader("Cache-Control", "no-store");
    const { isWell } = services.health.summary();
    response.status(isWell ? 200 : 503).json({ ok: isWell });
  });
}
