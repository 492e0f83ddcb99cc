import { describe, expect, it } from 'vitest';
import { deviceWords } from './sessions.ts';

/** User agents written after the shapes that browsers send (from memory), cut to what is looked at. */
describe('what a device is called', () => {
  it.each([
    [
      'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/126.0 Safari/537.36',
      'Chrome on Linux',
    ],
    [
      'Mozilla/5.0 (Linux; Android 14; Tablet) AppleWebKit/537.36 Chrome/126.0 Safari/537.36',
      'Chrome on Android',
    ],
    [
      'Mozilla/5.0 (iPad; CPU OS 17_5 like Mac OS X) AppleWebKit/605 Version/17.5 Safari/604.1',
      'Safari on iOS',
    ],
    [
      'Mozilla/5.0 (Windows NT 10.0) AppleWebKit/537.36 Chrome/126.0 Safari/537.36 Edg/126.0',
      'Edge on Windows',
    ],
    [
      'Mozilla/5.0 (Macintosh; Intel Mac OS X 14.5; rv:127.0) Gecko/20100101 Firefox/127.0',
      'Firefox on macOS',
    ],
    ['curl/8.5', 'a program on an unknown system'],
    [undefined, 'a program on an unknown system'],
  ])('%s: %s', (agent, words) => expect(deviceWords(agent)).toBe(words));
});
