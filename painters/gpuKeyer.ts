import { type ChromaKey, prepareKey } from "../core/picture/chromaKey.ts";
import { hasGpu } from "./hasGpu.ts";

/** Something that draws a clip's present frame onto a canvas, cut out. */
export interface FrameKeyer {
  readonly name: "gpu" | "worker";
  draw(video: HTMLVideoElement): Promise<void>;
  discard(): void;
}

const VERTEX = `#version 300 es
in vec2 corner;
out vec2 at;
void main() {
  at = vec2(corner.x, 1.0 - corner.y);
  gl_Position = vec4(corner * 2.0 - 1.0, 0.0, 1.0);
}`;

/** The arithmetic of core/picture/chromaKey.ts. */
const FRAGMENT = `#version 300 es
precision highp float;
uniform sampler2D frame;
uniform vec2 key;
uniform vec2 direction;
uniform vec2 edge;
uniform float spill;
in vec2 at;
out vec4 color;
const vec3 K = vec3(0.2126, 0.7152, 0.0722);
void main() {
  vec4 pixel = texture(frame, at);
  float luma = dot(pixel.rgb, K);
  vec2 chroma = vec2((pixel.b - luma) / (2.0 * (1.0 - K.b)), (pixel.r - luma) / (2.0 * (1.0 - K.r)));
  float t = clamp((distance(chroma, key) - edge.x) / (edge.y - edge.x), 0.0, 1.0);
  float alpha = pixel.a * t * t * (3.0 - 2.0 * t);
  float tint = max(0.0, dot(chroma, direction));
  vec2 clean = chroma - tint * spill * direction;
  float blue = luma + clean.x * 2.0 * (1.0 - K.b);
  float red = luma + clean.y * 2.0 * (1.0 - K.r);
  vec3 rgb = clamp(vec3(red, (luma - K.r * red - K.b * blue) / K.g, blue), 0.0, 1.0);
  color = vec4(rgb * alpha, alpha);
}`;

/** @returns undefined where there is no real GPU */
export function createGpuKeyer(canvas: HTMLCanvasElement, settings: ChromaKey): FrameKeyer | undefined {
  // Software renderers are slower at this than a worker, and hold up the page.
  if (!hasGpu()) return undefined;
  const gl = canvas.getContext("webgl2", { premultipliedAlpha: true, alpha: true });
  if (!gl) return undefined;
  const program = gl.createProgram();
  for (const [type, source] of [
    [gl.VERTEX_SHADER, VERTEX],
    [gl.FRAGMENT_SHADER, FRAGMENT],
  ] as const) {
    const shader = gl.createShader(type);
    if (!shader) return undefined;
    gl.shaderSource(shader, source);
    gl.compileShader(shader);
    gl.attachShader(program, shader);
  }
  gl.linkProgram(program);
  if (!gl.getProgramParameter(program, gl.LINK_STATUS))
    throw new Error(`The key's shader does not link: ${gl.getProgramInfoLog(program)}`);
  // biome-ignore lint/correctness/useHookAtTopLevel: WebGL, not React
  gl.useProgram(program);
  gl.bindBuffer(gl.ARRAY_BUFFER, gl.createBuffer());
  gl.bufferData(gl.ARRAY_BUFFER, new Float32Array([0, 0, 1, 0, 0, 1, 1, 1]), gl.STATIC_DRAW);
  const corner = gl.getAttribLocation(program, "corner");
  gl.enableVertexAttribArray(corner);
  gl.vertexAttribPointer(corner, 2, gl.FLOAT, false, 0, 0);
  gl.bindTexture(gl.TEXTURE_2D, gl.createTexture());
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.LINEAR);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_WRAP_S, gl.CLAMP_TO_EDGE);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_WRAP_T, gl.CLAMP_TO_EDGE);
  const key = prepareKey(settings);
  gl.uniform2f(gl.getUniformLocation(program, "key"), key.cb, key.cr);
  gl.uniform2f(gl.getUniformLocation(program, "direction"), key.directionCb, key.directionCr);
  gl.uniform2f(gl.getUniformLocation(program, "edge"), key.inner, key.outer);
  gl.uniform1f(gl.getUniformLocation(program, "spill"), key.spill);
  return {
    name: "gpu",
    async draw(video) {
      if (video.videoWidth === 0) return;
      canvas.width = video.videoWidth;
      canvas.height = video.videoHeight;
      gl.viewport(0, 0, canvas.width, canvas.height);
      gl.texImage2D(gl.TEXTURE_2D, 0, gl.RGBA, gl.RGBA, gl.UNSIGNED_BYTE, video);
      gl.drawArrays(gl.TRIANGLE_STRIP, 0, 4);
    },
    discard: () => gl.getExtension("WEBGL_lose_context")?.loseContext(),
  };
}
