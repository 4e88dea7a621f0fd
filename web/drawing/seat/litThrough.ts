import { DoubleSide, ShaderMaterial, UniformsLib, UniformsUtils } from 'three';

/** Share of the light on its other side that comes through a leaf (common practice: less than half). */
const THROUGH = 0.45;

/**
 * Leaves: what falls on their other side comes through them. Their light is that of their corners, shadow and all: there are
 * many of them before each other, and few corners.
 */
export function litThrough(): ShaderMaterial {
  return new ShaderMaterial({
    uniforms: UniformsUtils.merge([UniformsLib.lights, UniformsLib.fog]),
    vertexShader: VERTEX,
    fragmentShader: FRAGMENT,
    side: DoubleSide,
    vertexColors: true,
    lights: true,
    fog: true,
  });
}

const VERTEX = `#include <common>
#include <packing>
#include <lights_pars_begin>
#include <shadowmap_pars_fragment>
#ifdef USE_SHADOWMAP
uniform mat4 directionalShadowMatrix[NUM_DIR_LIGHT_SHADOWS];
#endif
#include <fog_pars_vertex>
varying vec3 shine;
void main() {
  vec3 facing = normalize(normalMatrix * normal);
  vec4 mvPosition = modelViewMatrix * vec4(position, 1.0);
  gl_Position = projectionMatrix * mvPosition;
  // Both sides of a leaf have the sky.
  vec3 light = ambientLightColor + 0.5 * (getHemisphereLightIrradiance(hemisphereLights[0], facing) + getHemisphereLightIrradiance(hemisphereLights[0], -facing));
  float turned = dot(facing, directionalLights[0].direction);
  // What looks away from the eye is seen from its other side.
  if (dot(facing, mvPosition.xyz) > 0.0) turned = -turned;
  float falls = turned > 0.0 ? turned : -turned * ${THROUGH.toFixed(2)};
  #ifdef USE_SHADOWMAP
  vec4 spot = directionalShadowMatrix[0] * (modelMatrix * vec4(position, 1.0) + vec4(0.0, 3.0, 0.0, 0.0));
  DirectionalLightShadow own = directionalLightShadows[0];
  falls *= getShadow(directionalShadowMap[0], own.shadowMapSize, own.shadowIntensity, own.shadowBias, own.shadowRadius, spot);
  #endif
  shine = color * RECIPROCAL_PI * (light + falls * directionalLights[0].color);
  #include <fog_vertex>
}`;
const FRAGMENT = `#include <common>
#include <fog_pars_fragment>
varying vec3 shine;
void main() {
  gl_FragColor = vec4(shine, 1.0);
  #include <tonemapping_fragment>
  #include <colorspace_fragment>
  #include <fog_fragment>
}`;
