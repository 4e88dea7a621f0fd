import {
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  Mesh,
  MeshBasicMaterial,
  ShaderMaterial,
  Shape,
  ShapeGeometry,
  Vector3,
  type Camera,
  type Object3D,
} from 'three';
import { Reflector } from 'three/addons/objects/Reflector.js';
import { WATER_INDEX } from '../../../core/view/refraction';
import { footprint } from '../../../core/vessel/footprint';
import type { Seen } from './place';
import type { SeatLook } from './seatScene';

/** How high the water stands up at the glass, mm. */
const RIM_MM = 3;
/** Length of a ripple, mm, and how far it leans the surface at most: a filter's outlet, no weather. */
const RIPPLE = { mm: 60, leans: 0.012 };
/** Pixels of what the surface mirrors, each way: ripples leave no more of it. */
const MIRROR_PX = 512;
/** What of a mirror image is left, red, green, blue: the way through the water is longer. */
const MIRRORED = '#b9d0cc';
const ROOM: Record<SeatLook['light'], string> = { day: '#eef6f8', night: '#3c4c52', backlit: '#f7fbff' };
/** Light that comes straight back from still water, against what falls on it (Fresnel at right angles). */
const STRAIGHT_BACK = ((WATER_INDEX - 1) / (WATER_INDEX + 1)) ** 2;

/** How the surface leans at a spot: ripples of three directions. */
const LEANS = `vec2 leans(vec2 at) {
  vec2 sum = vec2(0.0);
  vec3 turns = vec3(0.3, 1.7, 2.9);
  for (int i = 0; i < 3; i++) {
    vec2 way = vec2(cos(turns[i]), sin(turns[i]));
    sum += way * cos(dot(at, way) * ${(2 * Math.PI / RIPPLE.mm).toFixed(4)} * (1.0 + 0.37 * float(i)) + float(i));
  }
  return sum * ${(RIPPLE.leans / 3).toFixed(4)};
}`; // prettier-ignore

/**
 * The surface of the water at its line: what stands up at the glass; from above the room on it, more the flatter one looks;
 * from below, through a pane, the mirror that it is there (nothing that comes in through a pane leaves at the top: it
 * meets the surface at more than the 48.6° from which it is wholly thrown back).
 */
export function waterSurface(seen: Seen, { light, quick = false }: SeatLook, fromBelow: boolean): Object3D[] {
  const { vessel } = seen;
  const flat = new ShapeGeometry(outline(seen));
  const top = fromBelow && !quick ? mirror(flat) : new Mesh(flat, fromAbove(light));
  // An outline lies in the plane of the picture: laid down, it faces up; a mirror for who is below has to face down.
  top.rotation.x = fromBelow && !quick ? Math.PI / 2 : -Math.PI / 2;
  if (fromBelow && !quick) top.scale.y = -1;
  top.position.y = vessel.waterLineMm;
  return quick ? [top] : [top, rim(seen)];
}

const outline = ({ vessel }: Seen) => {
  const shape = new Shape();
  footprint(vessel).forEach(([x, y], i) => (i === 0 ? shape.moveTo(x, y) : shape.lineTo(x, y)));
  return shape;
};

/** The room on the surface, by how flat one looks (C. Schlick, "An Inexpensive BRDF Model", 1994). */
function fromAbove(light: SeatLook['light']): ShaderMaterial {
  return new ShaderMaterial({
    transparent: true,
    depthWrite: false,
    side: DoubleSide,
    uniforms: { room: { value: new Color(ROOM[light]) } },
    vertexShader: `varying vec2 at; varying vec3 world;
void main() {
  at = position.xy;
  world = (modelMatrix * vec4(position, 1.0)).xyz;
  gl_Position = projectionMatrix * viewMatrix * vec4(world, 1.0);
}`,
    fragmentShader: `uniform vec3 room; varying vec2 at; varying vec3 world;
${LEANS}
void main() {
  vec2 l = leans(at);
  float faces = abs(dot(normalize(cameraPosition - world), normalize(vec3(l.x, 1.0, -l.y))));
  float back = ${STRAIGHT_BACK.toFixed(4)} + ${(1 - STRAIGHT_BACK).toFixed(4)} * pow(1.0 - faces, 5.0);
  gl_FragColor = vec4(room, 0.05 + 0.8 * back);
  #include <tonemapping_fragment>
  #include <colorspace_fragment>
}`,
  });
}

/** What is below, upside down, moved a little by ripples. */
function mirror(flat: ShapeGeometry): Mesh {
  const water = new Reflector(flat, {
    color: MIRRORED,
    textureWidth: MIRROR_PX,
    textureHeight: MIRROR_PX,
    multisample: 0,
    shader: {
      name: 'water from below',
      uniforms: { color: { value: null }, tDiffuse: { value: null }, textureMatrix: { value: null } },
      vertexShader: `uniform mat4 textureMatrix; varying vec4 in_; varying vec2 at;
void main() {
  at = position.xy;
  in_ = textureMatrix * vec4(position, 1.0);
  gl_Position = projectionMatrix * modelViewMatrix * vec4(position, 1.0);
}`,
      fragmentShader: `uniform vec3 color; uniform sampler2D tDiffuse; varying vec4 in_; varying vec2 at;
${LEANS}
void main() {
  vec2 spot = in_.xy / in_.w + leans(at);
  gl_FragColor = vec4(texture2D(tDiffuse, spot).rgb * color, 1.0);
  #include <tonemapping_fragment>
  #include <colorspace_fragment>
}`,
    },
  });
  const mirrored = water.onBeforeRender;
  water.onBeforeRender = (renderer, scene, camera, ...rest) => {
    // From below the surface is a strip of the picture: no more of its mirror image is drawn.
    const [low, high] = stripOf(water, camera);
    water.getRenderTarget().scissor.set(0, low, MIRROR_PX, high - low);
    mirrored.call(water, renderer, scene, camera, ...rest);
  };
  water.getRenderTarget().scissorTest = true;
  return water;
}

/** From where to where a surface reaches in a picture from its lower edge up, in pixels of its mirror image, with what ripples add. */
function stripOf(water: Mesh, camera: Camera): [low: number, high: number] {
  const spots = water.geometry.getAttribute('position');
  const heights = Array.from({ length: spots.count }, (_, i) => new Vector3().fromBufferAttribute(spots, i).applyMatrix4(water.matrixWorld).project(camera).y); // prettier-ignore
  const px = (y: number) => Math.min(1, Math.max(0, (1 + y) / 2)) * MIRROR_PX;
  const ripples = 2 * RIPPLE.leans * MIRROR_PX + 1;
  return [Math.floor(Math.max(0, px(Math.min(...heights)) - ripples)), Math.ceil(Math.min(MIRROR_PX, px(Math.max(...heights)) + ripples))];
} // prettier-ignore

/** The bright edge where water stands up at the glass. */
function rim({ vessel }: Seen): Mesh {
  const ring = footprint(vessel);
  const [low, high] = [vessel.waterLineMm - 1, vessel.waterLineMm + RIM_MM - 1];
  const corners = ring.flatMap(([x, y], i) => {
    const [u, v] = ring[(i + 1) % ring.length];
    const [a, b, c, d] = [[x, low, -y], [u, low, -v], [u, high, -v], [x, high, -y]]; // prettier-ignore
    return [...a, ...b, ...c, ...a, ...c, ...d];
  });
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(corners), 3));
  return new Mesh(geometry, new MeshBasicMaterial({ color: '#eef8f8', transparent: true, opacity: 0.45, side: DoubleSide, depthWrite: false, fog: false })); // prettier-ignore
}
