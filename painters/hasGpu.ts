/** Names of renderers that draw on the processor. */
const SOFTWARE = /swiftshader|llvmpipe|softpipe|software|basic render/i;

/** Whether a graphics processor draws this window, as far as the browser says. */
export function hasGpu(): boolean {
  // A canvas has one kind of context for good: the renderer is looked at on one of its own.
  const gl = document.createElement("canvas").getContext("webgl2");
  if (!gl) return false;
  const debug = gl.getExtension("WEBGL_debug_renderer_info");
  const name = String(gl.getParameter(debug ? debug.UNMASKED_RENDERER_WEBGL : gl.RENDERER));
  gl.getExtension("WEBGL_lose_context")?.loseContext();
  return !SOFTWARE.test(name);
}
