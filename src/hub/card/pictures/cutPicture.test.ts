/** @jest-environment node */
import { createJimp } from '@jimp/core';
import jpeg from '@jimp/js-jpeg';
import png from '@jimp/js-png';
import { methods as resizing } from '@jimp/plugin-resize';

import { newCard } from '@/core/card';

import { cutPicture, isSamePicture, withCutPictures, withServedPictures } from './cutPicture';

const Jimp = createJimp({ plugins: [resizing], formats: [jpeg, png] });

/** A picture with something to see in each corner. @param seed - another one, another picture */
async function picture(
  width: number,
  height: number,
  seed = 1,
  mime: 'image/jpeg' | 'image/png' = 'image/jpeg',
) {
  const image = new Jimp({ width, height, color: 0xffffffff });
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const [r, g] = [Math.floor((x * 255) / width), Math.floor((y * 255) / height)];
      const b = Math.hypot(x / width - 0.5, y / height - 0.5) < 0.3 ? 60 * seed : 200;
      image.setPixelColor(((r << 24) | (g << 16) | (b << 8) | 255) >>> 0, x, y);
    }
  return image.getBase64(mime);
}
const sizeOf = async (uri: string) => {
  const { width, height } = await jpeg().decode(Buffer.from(uri.split(',')[1] ?? '', 'base64'));
  return [width, height];
};
const SVG = `data:image/svg+xml;base64,${btoa('<svg xmlns="http://www.w3.org/2000/svg"/>')}`;

test('a large picture is cut down to the longer side, its shape kept; a small one stays as it is', async () => {
  const large = await picture(400, 300);
  expect(await sizeOf(await cutPicture(large, 96))).toEqual([96, 72]);
  const small = await picture(60, 40);
  expect(await cutPicture(small, 96)).toBe(small);
});

test.each([
  ['drawn', SVG],
  ['damaged', 'data:image/jpeg;base64,QUJDRA=='],
  ['elsewhere', 'https://pictures.example/ada.jpg'],
])('a picture that is %s stays as it is', async (_, uri) => {
  expect(await cutPicture(uri, 96)).toBe(uri);
});

test('the same picture is known in another size, quality and format; another one, and one cut otherwise, is not', async () => {
  const large = await picture(400, 300);
  expect(await isSamePicture(large, await cutPicture(large, 96))).toBe(true);
  expect(await isSamePicture(large, await picture(400, 300, 1, 'image/png'))).toBe(true);
  expect(await isSamePicture(large, await picture(400, 300, 4))).toBe(false);
  expect(await isSamePicture(large, await picture(300, 300))).toBe(false);
  expect(await isSamePicture(large, SVG)).toBe(false);
});

test('a device that sends back its small version of what it was served has changed nothing', async () => {
  const large = await picture(400, 300);
  const served = { ...newCard('ada', ''), media: { m1: { kind: 'photo', uri: large } } };
  const small = await withCutPictures(served, 96);
  expect(small.media?.['m1']?.uri).not.toBe(large);
  expect((await withServedPictures(served, small)).media).toEqual(served.media);
  const other = { ...served, media: { m1: { kind: 'photo', uri: await picture(400, 300, 4) } } };
  expect(await withServedPictures(served, other)).toEqual(other);
});

test('a small file that claims to be a huge picture is not read', async () => {
  const octets = Buffer.from((await picture(8, 8, 1, 'image/png')).split(',')[1] ?? '', 'base64');
  octets.writeUInt32BE(60_000, 16);
  octets.writeUInt32BE(60_000, 20);
  const uri = `data:image/png;base64,${octets.toString('base64')}`;
  expect(await cutPicture(uri, 96)).toBe(uri);
});
