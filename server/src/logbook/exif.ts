/**
 * Takes place, time, device and everything else out of the head of a JPEG without touching its picture: the application
 * segments that carry notes are left out, colour profile (APP2) and Adobe marker (APP14) stay. How the camera was held is
 * written back in the smallest Exif block that says it. Segment layout: ISO/IEC 10918-1, Annex B; Exif 2.3, from memory.
 */
export function withoutNotes(jpeg: Buffer, orientation: number | undefined): Buffer {
  const kept: Buffer[] = [jpeg.subarray(0, 2)];
  if (orientation !== undefined && orientation !== 1) kept.push(orientationBlock(orientation));
  let at = 2;
  while (at + 4 <= jpeg.length && jpeg[at] === 0xff) {
    const marker = jpeg[at + 1]!;
    // From the start of the scan on it is picture, to the end.
    if (marker === 0xda) break;
    const length = jpeg.readUInt16BE(at + 2) + 2;
    const notes = (marker >= 0xe1 && marker <= 0xef && marker !== 0xe2 && marker !== 0xee) || marker === 0xfe;
    if (!notes) kept.push(jpeg.subarray(at, at + length));
    at += length;
  }
  kept.push(endingWithPicture(jpeg.subarray(at)));
  return Buffer.concat(kept);
}

/** What some cameras hang behind the picture, a second one with its own place, is left off. */
function endingWithPicture(scan: Buffer): Buffer {
  const end = scan.indexOf(Buffer.from([0xff, 0xd9]));
  // Inside a scan a byte 0xff is always followed by 0x00 or a restart marker, so that the first end marker is the end.
  return end < 0 ? scan : scan.subarray(0, end + 2);
}

function orientationBlock(orientation: number): Buffer {
  const tiff = Buffer.alloc(26);
  tiff.write('MM', 0, 'latin1');
  tiff.writeUInt16BE(42, 2);
  tiff.writeUInt32BE(8, 4);
  tiff.writeUInt16BE(1, 8);
  tiff.writeUInt16BE(0x0112, 10);
  tiff.writeUInt16BE(3, 12);
  tiff.writeUInt32BE(1, 14);
  tiff.writeUInt16BE(orientation, 18);
  const body = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff]);
  const head = Buffer.from([0xff, 0xe1, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
}
