import { t } from "../../core/language/t.ts";
/** A monitor of this machine, as browsers describe it (Window Management, W3C). */
export interface Monitor {
  readonly availLeft: number;
  readonly availTop: number;
  readonly availWidth: number;
  readonly availHeight: number;
  readonly width: number;
  readonly height: number;
  readonly devicePixelRatio: number;
  readonly isPrimary: boolean;
}

interface MonitorWindow {
  readonly getScreenDetails?: () => Promise<{ readonly screens: readonly Monitor[] }>;
}

/** The monitors of this machine, where the browser tells; it asks its person first. */
export async function findMonitors(): Promise<
  { readonly monitors: readonly Monitor[] } | { readonly why: string }
> {
  const { getScreenDetails } = window as unknown as MonitorWindow;
  if (!getScreenDetails)
    return {
      why: window.isSecureContext
        ? t`This browser does not say which monitors there are.`
        : t`Browsers say which monitors there are only over TLS or on the server's own machine.`,
    };
  try {
    const { screens } = await getScreenDetails.call(window);
    return { monitors: [...screens] };
  } catch {
    return {
      why: t`The browser was not allowed to say which monitors there are. Allow it beside the address.`,
    };
  }
}
