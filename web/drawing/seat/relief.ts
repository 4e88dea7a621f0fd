import { MeshLambertMaterial, type Material, type MeshLambertMaterialParameters } from 'three';
import { GRAINS, reliefMap, type ReliefMap } from './reliefMaps';

/** What a surface is made of, as it is seen up close. */
export type Relief = 'soil' | 'sand' | 'gravel' | 'stone' | 'wood';

interface Made {
  map: ReliefMap;
  /** Side of the map on the surface, how deep it goes, mm. */
  sideMm: number;
  deepMm: number;
  /** How far its tones are from each other, and how dark its depths. */
  tone: number;
  shade: number;
}
/** Width of a grain, mm (common practice: granules 2 to 4, sand to 1, gravel 5 to 8). */
const grainsOf = (grainMm: number) => grainMm * GRAINS;
const RELIEFS: Record<Relief, Made> = {
  soil: { map: 'grains', sideMm: grainsOf(3.2), deepMm: 1.6, tone: 0.5, shade: 0.62 },
  sand: { map: 'grains', sideMm: grainsOf(1.1), deepMm: 0.25, tone: 0.22, shade: 0.16 },
  gravel: { map: 'grains', sideMm: grainsOf(6), deepMm: 3, tone: 0.4, shade: 0.5 },
  stone: { map: 'broken', sideMm: 150, deepMm: 7, tone: 0.3, shade: 0.34 },
  wood: { map: 'streaks', sideMm: 90, deepMm: 3, tone: 0.5, shade: 0.45 },
};

/** A surface without shine, with its relief where it is not drawn quickly. */
export function matte(quick: boolean, of: MeshLambertMaterialParameters, relief?: Relief): Material {
  return quick || !relief ? new MeshLambertMaterial(of) : inRelief(of, relief);
}

/** A matte surface with its relief, seen from three sides and mixed by the way it faces: nothing has to be unrolled. */
function inRelief(of: MeshLambertMaterialParameters, relief: Relief): Material {
  const { map, sideMm, deepMm, tone, shade } = RELIEFS[relief];
  const material = new MeshLambertMaterial(of);
  material.onBeforeCompile = (shader) => {
    Object.assign(shader.uniforms, {
      reliefMap: { value: reliefMap(map) },
      relief: { value: [1 / sideMm, deepMm, tone, shade] },
    });
    shader.vertexShader = `varying vec3 reliefAt; varying vec3 reliefWay;\n${shader.vertexShader}`.replace(
      '#include <begin_vertex>',
      '#include <begin_vertex>\nreliefAt = position; reliefWay = normal;',
    );
    shader.fragmentShader = `${HEAD}\n${shader.fragmentShader}`
      .replace('#include <color_fragment>', `#include <color_fragment>\n${TONE}`)
      .replace('#include <normal_fragment_maps>', `#include <normal_fragment_maps>\n${BUMP}`);
  };
  material.customProgramCacheKey = () => 'relief';
  return material;
}

const HEAD = `varying vec3 reliefAt; varying vec3 reliefWay;
uniform sampler2D reliefMap;
/* One through the side of the map, depth, tone, shade. */
uniform vec4 relief;
/* Sharper than it would be alone: many pictures become one. */
vec2 at(vec2 p, vec2 along, vec2 down) { return textureGrad(reliefMap, p, along * 0.5, down * 0.5).rg; }
vec2 reliefHere() {
  vec3 side = pow(abs(normalize(reliefWay)), vec3(4.0));
  side /= side.x + side.y + side.z;
  vec3 p = reliefAt * relief.x, along = dFdx(p), down = dFdy(p);
  vec2 here = vec2(0.0);
  /* What is hardly faced is not looked up: most of a bed faces up, most of a cut to the front. */
  if (side.x > 0.03) here += side.x * at(p.yz, along.yz, down.yz);
  if (side.y > 0.03) here += side.y * at(p.xz, along.xz, down.xz);
  if (side.z > 0.03) here += side.z * at(p.xy, along.xy, down.xy);
  return here;
}`;
const TONE = `vec2 grain = reliefHere();
diffuseColor.rgb *= (1.0 + relief.z * (grain.g - 0.5)) * mix(1.0 - relief.w, 1.0, grain.r);`;
/* M. Mikkelsen, "Bump Mapping Unparametrized Surfaces on the GPU", 2010: the normal from how height changes on the screen. */
const BUMP = `{
  vec3 along = dFdx(-vViewPosition), down = dFdy(-vViewPosition);
  vec3 a = cross(down, normal), b = cross(normal, along);
  float turns = dot(along, a) * faceDirection;
  vec3 slope = sign(turns) * relief.y * (dFdx(grain.r) * a + dFdy(grain.r) * b);
  normal = normalize(abs(turns) * normal - slope);
}`;
