import { expect, test } from "vitest";
import { reachable } from "./reachable.ts";

const LAN = "http://192.168.7.20:4510";

test.each([
  // Opened on the machine itself: others need its address in the network.
  ["http://127.0.0.1:4510", ["http://127.0.0.1:4510", LAN], LAN, false],
  ["http://localhost:4510", ["http://127.0.0.1:4510", LAN], LAN, false],
  ["http://[::1]:4510", ["http://[::1]:4510"], "http://[::1]:4510", true],
  // It listens to this machine alone.
  ["http://127.0.0.1:4510", ["http://127.0.0.1:4510"], "http://127.0.0.1:4510", true],
  // Opened elsewhere, perhaps by a name or through another server: that way is good.
  ["https://desk.hall.example", ["http://127.0.0.1:4510", LAN], "https://desk.hall.example", false],
  [LAN, [], LAN, false],
])("%s, server at %j: others open %s", (here, addresses, origin, isHereOnly) => {
  expect(reachable(here, addresses)).toEqual({ origin, isHereOnly });
});
