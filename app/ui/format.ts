/** "4:07", "1:02:33": how long something has lasted or will. */
export function formatLength(ms: number): string {
  const seconds = Math.max(0, Math.floor(ms / 1000));
  const s = String(seconds % 60).padStart(2, "0");
  const minutes = Math.floor(seconds / 60);
  if (minutes < 60) return `${minutes}:${s}`;
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}:${s}`;
}

export function formatTimeOfDay(atMs: number): string {
  return new Date(atMs).toLocaleTimeString("en-GB", { hour12: false });
}

/** "Wed 25 Nov, 19:04". */
export function formatDay(atMs: number): string {
  return new Date(atMs).toLocaleString("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
  });
}
