import {
  HalfFloatType,
  ShaderMaterial,
  WebGLRenderTarget,
  type PerspectiveCamera,
  type Scene,
  type WebGLRenderer,
} from 'three';
import { FullScreenQuad } from 'three/addons/postprocessing/Pass.js';
import { passOf } from './samples';

const VERTEX = `varying vec2 at;
void main() { at = uv; gl_Position = vec4(position.xy, 0.0, 1.0); }`;
/** One picture into the mean of those before it. */
const ADD = `uniform sampler2D picture; uniform float share; varying vec2 at;
void main() { gl_FragColor = vec4(texture2D(picture, at).rgb, share); }`;
/** The mean as a photograph: corners a little darker, then into the colours of a screen. */
const SHOW = `uniform sampler2D picture; uniform float fall; varying vec2 at;
void main() {
  vec2 out_ = at - 0.5;
  gl_FragColor = vec4(texture2D(picture, at).rgb * (1.0 - fall * dot(out_, out_)), 1.0);
  #include <tonemapping_fragment>
  #include <colorspace_fragment>
}`;
/** Light that a corner of the picture has less than its middle, against half of the diagonal squared. */
const FALL = 0.18;

/**
 * One picture as the mean of many, each with the lamp at another place of itself, another part of the sky and the pixel
 * moved within itself: shadows are soft, what lies close together is darker, edges are smooth.
 */
export function manyPasses(renderer: WebGLRenderer) {
  const [one, mean] = [target(), target()];
  const add = new FullScreenQuad(quadOf(ADD, { picture: { value: one.texture }, share: { value: 1 } }, true));
  const show = new FullScreenQuad(quadOf(SHOW, { picture: { value: mean.texture }, fall: { value: FALL } }, false)); // prettier-ignore
  return {
    /** Takes picture `i` into the mean; the first begins anew. `aim` sets the lights for it. */
    add(i: number, scene: Scene, camera: PerspectiveCamera, aim: (pass: ReturnType<typeof passOf>) => void) {
      const { width, height } = renderer.domElement;
      for (const t of [one, mean]) t.setSize(width, height);
      const pass = passOf(i);
      aim(pass);
      camera.setViewOffset(width, height, pass.pixel[0] - 0.5, pass.pixel[1] - 0.5, width, height);
      renderer.setRenderTarget(one);
      renderer.render(scene, camera);
      renderer.setRenderTarget(mean);
      (add.material as ShaderMaterial).uniforms.share.value = 1 / (i + 1);
      renderer.autoClear = i === 0;
      add.render(renderer);
      renderer.autoClear = true;
      renderer.setRenderTarget(null);
    },
    show: () => show.render(renderer),
    dispose(): void {
      for (const t of [one, mean]) t.dispose();
      for (const quad of [add, show]) {
        (quad.material as ShaderMaterial).dispose();
        quad.dispose();
      }
    },
  };
}
export type ManyPasses = ReturnType<typeof manyPasses>;

const target = () => new WebGLRenderTarget(1, 1, { type: HalfFloatType });

function quadOf(fragmentShader: string, uniforms: ShaderMaterial['uniforms'], transparent: boolean) {
  return new ShaderMaterial({ vertexShader: VERTEX, fragmentShader, uniforms, transparent, depthTest: false, depthWrite: false }); // prettier-ignore
}
