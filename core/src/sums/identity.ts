/** Vehicle identification numbers, trouble codes and live data. */

const letterValues: Record<string, number> = Object.fromEntries(
  ['AJ', 'BKS', 'CLT', 'DMU', 'ENV', 'FW', 'GPX', 'HY', 'RZ'].flatMap((letters, i) =>
    [...letters].map((letter) => [letter, 'RZ' === letters ? 9 : i + 1] as const),
  ),
);
letterValues['P'] = 7;
const weights = [8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2] as const;

/** The check digit that the other sixteen characters ask for. Source: 49 CFR 565; ISO 3779. */
export function vinCheckDigit(vin: string): string {
  const sum = [...vin].reduce(
    (total, ch, i) => total + (/\d/.test(ch) ? Number(ch) : (letterValues[ch] ?? 0)) * weights[i]!,
    0,
  );
  return sum % 11 === 10 ? 'X' : String(sum % 11);
}

export type IdentityCheck =
  | { state: 'good'; vin: string; sentence: string }
  | { state: 'no-check-digit'; vin: string; sentence: string }
  | { state: 'chassis-number'; vin: string; sentence: string }
  | { state: 'wrong'; vin: string; sentence: string };

/**
 * Looks at an identity number as it was read off a car. From model year 1981 a number has 17 characters, none of them
 * I, O or Q; the ninth is a check digit where North American rules apply. Older cars carry shorter chassis numbers.
 */
export function checkIdentity(text: string, modelYear?: number): IdentityCheck {
  const vin = text.toUpperCase().replace(/[\s-]/g, '');
  if (vin === '') return { state: 'wrong', vin, sentence: 'Type the number from the plate.' };
  const odd = [...vin].find((ch) => !/[A-Z0-9]/.test(ch));
  if (odd)
    return { state: 'wrong', vin, sentence: `"${odd}" cannot stand in an identity number: letters and figures only.` };
  if (modelYear !== undefined && modelYear < 1981 && vin.length !== 17) {
    return vin.length < 4
      ? { state: 'wrong', vin, sentence: `${vin.length} characters are too few even for an early chassis number.` }
      : {
          state: 'chassis-number',
          vin,
          sentence: `Chassis number of ${vin.length} characters: made before the 17-character rule, so nothing more can be checked.`,
        };
  }
  if (vin.length !== 17) {
    const off = Math.abs(17 - vin.length);
    return {
      state: 'wrong',
      vin,
      sentence: `${vin.length} characters: a number has 17, so ${off} ${vin.length < 17 ? (off === 1 ? 'is' : 'are') + ' missing' : (off === 1 ? 'is' : 'are') + ' too many'}.`,
    };
  }
  const barred = [...vin].findIndex((ch) => 'IOQ'.includes(ch));
  if (barred >= 0) {
    const ch = vin[barred]!;
    return {
      state: 'wrong',
      vin,
      sentence: `Character ${barred + 1} is ${ch}: I, O and Q never stand in a number. Look whether it is ${ch === 'I' ? 'a 1' : 'a 0'}.`,
    };
  }
  const wanted = vinCheckDigit(vin);
  if (vin[8] === wanted) return { state: 'good', vin, sentence: `17 characters, check digit ${wanted} agrees.` };
  if (/^[1-5]/.test(vin)) {
    return {
      state: 'wrong',
      vin,
      sentence: `Check digit (character 9) is ${vin[8]}, the rest asks for ${wanted}: one character is misread.`,
    };
  }
  return {
    state: 'no-check-digit',
    vin,
    sentence:
      '17 characters, letters allowed. Cars of this region carry no check digit, so a misread character would not show.',
  };
}

/** A trouble code from its two bytes. Source: SAE J2012, ISO 15031-6. */
export function troubleCode(high: number, low: number): string {
  const system = 'PCBU'[high >> 6]!;
  return `${system}${(high >> 4) & 3}${(high & 15).toString(16)}${low.toString(16).padStart(2, '0')}`.toUpperCase();
}

interface LiveValue {
  name: string;
  bytes: number;
  unit: string;
  read: (a: number, b: number) => number;
}

/** Live data by parameter id. Source: SAE J1979, ISO 15031-5. */
export const liveValues: Readonly<Record<string, LiveValue>> = {
  '04': { name: 'Engine load', bytes: 1, unit: '%', read: (a) => (a * 100) / 255 },
  '05': { name: 'Coolant temperature', bytes: 1, unit: '°C', read: (a) => a - 40 },
  '06': { name: 'Short fuel trim, bank 1', bytes: 1, unit: '%', read: (a) => (a * 100) / 128 - 100 },
  '0A': { name: 'Fuel pressure', bytes: 1, unit: 'kPa', read: (a) => 3 * a },
  '0B': { name: 'Manifold pressure', bytes: 1, unit: 'kPa', read: (a) => a },
  '0C': { name: 'Engine speed', bytes: 2, unit: 'rpm', read: (a, b) => (256 * a + b) / 4 },
  '0E': { name: 'Timing advance', bytes: 1, unit: 'deg', read: (a) => a / 2 - 64 },
  '10': { name: 'Air mass', bytes: 2, unit: 'g/s', read: (a, b) => (256 * a + b) / 100 },
  '11': { name: 'Throttle', bytes: 1, unit: '%', read: (a) => (a * 100) / 255 },
  '23': { name: 'Rail pressure', bytes: 2, unit: 'kPa', read: (a, b) => 10 * (256 * a + b) },
  '42': { name: 'Unit voltage', bytes: 2, unit: 'V', read: (a, b) => (256 * a + b) / 1000 },
  '5C': { name: 'Oil temperature', bytes: 1, unit: '°C', read: (a) => a - 40 },
};
