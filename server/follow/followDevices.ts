import { createSocket } from "node:dgram";
import { hearPlayer, type PlayerSaid, playOfPlayer } from "../../core/clips/playerSays.ts";
import type { KeyMap } from "../../core/keys/keyMap.ts";
import { t } from "../../core/language/t.ts";
import { idOf } from "../../core/show/actor.ts";
import type { Happening, MessageValue } from "../../core/triggers/happening.ts";
import type { FeedHost } from "../feeds/feedHost.ts";
import type { LiveBindings } from "../feeds/liveBindings.ts";
import type { ShowHost } from "../host/showHost.ts";
import { Links } from "../links/links.ts";
import { writeOsc } from "../links/osc.ts";
import { log } from "../log/log.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { ClipHost } from "./clipHost.ts";
import { performEffect } from "./effects.ts";
import type { FollowHost } from "./followHost.ts";
import { Remote } from "./remote.ts";
import { TellTakes } from "./tellTakes.ts";
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
  readonly clips: ClipHost;
  readonly keys: () => KeyMap;
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

export interface FollowedDevices extends Pick<Links, "doors" | "flapping" | "close"> {
  /** A message of another device, however it came. */
  readonly hear: (address: string, args: readonly MessageValue[]) => void;
}

const MIXER = { kind: "device", id: "mixer", name: t`the mixer` } as const;
const PLAYER = { kind: "device", id: "player", name: t`the player` } as const;

/** Brings what other devices and feeds say to the air, and what triggers do to the devices. */
export async function followDevices(parts: FollowDevicesParts): Promise<FollowedDevices> {
  const { devices, follow, clips, keys, host, hosts, feeds, rundown, now, onNews } = parts;
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
    onMessage: (address, args) => hearMessage(address, args),
    onNews,
    onChange: () => follow.linksChanged(),
  });
  const remote = new Remote({ host, keys, now });
  let player: PlayerSaid | null = null;
  const hearMessage = (address: string, args: readonly MessageValue[]) => {
    const said = hearPlayer(player, address, args, follow.settings, now());
    if (said !== player) {
      player = said;
      const play = said && playOfPlayer(said, clips.ready());
      for (const each of hosts()) each.setPlayer(play, PLAYER).catch(failed);
    }
    remote.hear(address, args);
    happen([{ kind: "message", address, args }]);
  };
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
  const takes = new TellTakes({ settings: () => follow.settings, rundown, hosts: feeds.allowedHosts, send });
  host.onEvent(({ event, actor }) => {
    takes.hear(event);
    if (event.kind === "triggered")
      performEffect(event.act, (actor && idOf(actor)) ?? "trigger", { ...parts, send }).catch(failed);
  });
  return {
    hear: hearMessage,
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
