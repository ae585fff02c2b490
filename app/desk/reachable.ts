const isLoopback = (origin: string): boolean => {
  const { hostname } = new URL(origin);
  return hostname === "localhost" || hostname === "[::1]" || hostname.startsWith("127.");
};

/** Where other devices find the server. */
export interface Reachable {
  readonly origin: string;
  /** None does: it listens to this machine alone. */
  readonly isHereOnly: boolean;
}

/**
 * By the address of the desk, unless that one means this machine to whoever types it.
 * @param here where the desk was opened
 * @param addresses by which the server can be reached, the nearest first
 */
export function reachable(here: string, addresses: readonly string[]): Reachable {
  if (!isLoopback(here)) return { origin: here, isHereOnly: false };
  const elsewhere = addresses.find((address) => !isLoopback(address));
  return { origin: elsewhere ?? here, isHereOnly: elsewhere === undefined };
}
