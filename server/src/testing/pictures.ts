import sharp from 'sharp';

/** For tests only: a JPEG as a phone makes it, lying on its side, with the place where it was taken in its head. */
export const phonePhoto = (width = 640, height = 480): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background: '#b03020' } })
    .composite([
      { input: { create: { width: width / 2, height, channels: 3, background: '#2030b0' } }, left: 0, top: 0 },
    ])
    .withExif({
      IFD0: { Make: 'Invented', Orientation: '6' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1', GPSLongitudeRef: 'E', GPSLongitude: '7/1 0/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();

export const asFile = (bytes: Buffer, type = 'image/jpeg'): Blob => new Blob([new Uint8Array(bytes)], { type });
