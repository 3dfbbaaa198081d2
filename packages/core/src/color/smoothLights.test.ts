import { base } from '../../test/sampledHouse';
import { linearOf, screenOf } from './screen';
import { smoothLights } from './smoothLights';
import { rgbBytes } from './srgb';

describe('the smooth lights of a screen', () => {
  const lights = smoothLights();
  test('each is one light alone, and together they are white in every band', () => {
    lights.forEach((light, k) =>
      linearOf(light).forEach((channel, i) => expect(channel).toBeCloseTo(i === k ? 1 : 0, 9)),
    );
    lights[0].forEach((r, band) => expect(r + lights[1][band]! + lights[2][band]!).toBeCloseTo(1, 6));
  });
  test('the light of a reflectance is what the screen is given', () => {
    const { srgb } = screenOf(base.white);
    expect(rgbBytes(linearOf(base.white))).toEqual(srgb.map(Math.round));
  });
});
