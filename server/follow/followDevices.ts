import { createSocket } from "node:dgram";
import { idOf } from "../../core/show/actor.ts";
import type { Happening } from "../../core/triggers/happening.ts";
import type { FeedHost } from "../feeds/feedHost.ts";
import type { LiveBindings } from "../feeds/liveBindings.ts";
import type { ShowHost } from "../host/showHost.ts";
import { Links } from "../links/links.ts";
import { writeOsc } from "../links/osc.ts";
import { log } from "../log/log.ts";
import type { Rundown } from "../rundown/rundown.ts";
import { performEffect } from "./effects.ts";
import type { FollowHost } from "./followHost.ts";
import { ValueHappenings } from "./valueHappenings.ts";

/** Where other devices may send, and where they are sent to: as the server was started. */
export interface DeviceOptions {
  /** The address to listen on. */
  readonly host: string;
  readonly tallyPort?: number;
  readonly oscPort?: number;
  /** Who may send, besides this machine: addresses. */
  readonly allowed: readonly string[];
  /** Who is sent messages, each an address and a port. */
  readonly oscTo: readonly { readonly host: string; readonly port: number }[];
}

export const NO_DEVICES: DeviceOptions = { host: "127.0.0.1", allowed: [], oscTo: [] };

export interface FollowDevicesParts {
  readonly devices: DeviceOptions;
  readonly follow: FollowHost;
  /** The air: what is done besides it is done for it alone. */
  readonly host: ShowHost;
  /** The air, and the rehearsal that goes on. */
  readonly hosts: () => readonly ShowHost[];
  readonly feeds: FeedHost;
  readonly rundown: Rundown;
  readonly bindings: LiveBindings;
  readonly now: () => number;
  readonly onNews: (sentence: string) => void;
}

export type FollowedDevices = Pick<Links, "doors" | "flapping" | "close">;

const MIXER = { kind: "device", id: "mixer", name: "the mixer" } as const;

/** Brings what other devices and feeds say to the air, and what triggers do to the devices. */
export async function followDevices(parts: FollowDevicesParts): Promise<FollowedDevices> {
  const { devices, follow, host, hosts, feeds, now, onNews } = parts;
  const failed = (error: unknown) => log.error("What a device said could not be followed", error);
  const happen = (happenings: readonly Happening[]) => {
    if (happenings.length > 0) for (const each of hosts()) each.happen(happenings).catch(failed);
  };
  const links = new Links({
    ...devices,
    now,
    settings: () => follow.settings,
    onInputs: (on, isQuiet) => {
      const buses = follow.onBuses(on);
      for (const each of hosts()) each.setSources(buses, isQuiet, MIXER).catch(failed);
    },
    onMessage: (address, args) => happen([{ kind: "message", address, args }]),
    onNews,
    onChange: () => follow.linksChanged(),
  });
  await links.open();
  const values = new ValueHappenings();
  feeds.onChange((id) => happen(values.look(id, feeds.findTable(id), follow.triggers())));
  const outlet = createSocket("udp4");
  outlet.on("error", (error) => log.warn("A message could not be sent to a device", error));
  outlet.unref();
  const send = (address: string, args: readonly (string | number)[]) => {
    const bytes = writeOsc(address, args);
    for (const to of devices.oscTo)
      outlet.send(bytes, to.port, to.host, (error) => {
        if (error) log.warn(`${address} could not be sent to ${to.host}:${to.port}`, error);
      });
  };
  host.onEvent(({ event, actor }) => {
    if (event.kind === "triggered")
      performEffect(event.act, (actor && idOf(actor)) ?? "trigger", { ...parts, send }).catch(failed);
  });
  return {
    doors: () => links.doors(),
    get flapping() {
      return links.flapping;
    },
    close: () => {
      links.close();
      outlet.close();
    },
  };
}
