import { type RemoteLink, remoteLinkSchema } from "../../remote/remoteLink.ts";
import type { StoredKind } from "../storedKind.ts";

export const remoteLinkKind: StoredKind<RemoteLink> = {
  name: "remoteLink",
  schema: remoteLinkSchema,
  steps: [],
};
