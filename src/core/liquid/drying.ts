import { requireNumber } from '../input-error';

/** The air in which something dries. */
export interface Air {
  /** °C. */
  temperature: number;
  /** Relative, %. */
  humidity: number;
  /** m/s past the cloth; 0 in a still room. */
  airSpeed: number;
  /** How many times longer than computed cloth takes to dry where the person hangs it, by their own times; 1 where it is not said. */
  pace?: number | undefined;
}

/** Cloth that hangs to dry. */
export interface Hanging {
  clothId: string;
  /** How many times longer than computed it takes. */
  pace: number;
}

export interface DryingOptions extends Air {
  /** Water in the cloth, g/m². */
  water: number;
  /** Faces that are free: 2 on a line, 1 on a table. */
  sides: number;
  /** Of the dry cloth, g/m². */
  arealDensity: number;
}

export interface Drying {
  /** While it is wet, all sides together, g/(m² h). */
  rate: number;
  /** Until a quarter of the cloth's mass is left: right for pressing. */
  minutesToDamp: number;
  /** Until a twentieth is left. */
  minutesToDry: number;
}

/** Air pressure, kPa. */
const PRESSURE = 101.325;
/** Share of the cloth's mass below which the fibres give their water off more and more slowly. */
export const CRITICAL = 1 / 3;
/** Shares of the cloth's mass at which it is damp, and dry. */
export const DAMP = 0.25;
export const DRY = 0.05;

/** Pressure of saturated water vapour, kPa (Magnus formula over water). */
function saturation(celsius: number): number {
  return 0.61094 * Math.exp((17.625 * celsius) / (celsius + 243.04));
}

/** Water for each kilogram of dry air at a vapour pressure, kg. */
function humidityRatio(vapour: number): number {
  return (0.622 * vapour) / (PRESSURE - vapour);
}

/**
 * Humidity ratio of the air, and of saturated air at its wet-bulb temperature: the temperature that a wet cloth takes on in it. By
 * halving, from the heat balance of the psychrometer.
 */
function ratios({ temperature, humidity }: Air): { air: number; wet: number } {
  const air = humidityRatio((humidity / 100) * saturation(temperature));
  let [low, high] = [-30, temperature];
  for (let i = 0; i < 60; i++) {
    const bulb = (low + high) / 2;
    const wet = humidityRatio(saturation(bulb));
    // Heat that the air gives off against heat that the water takes (kJ for each kilogram of dry air).
    const found = ((2501 - 2.326 * bulb) * wet - 1.006 * (temperature - bulb)) / (2501 + 1.86 * temperature - 4.186 * bulb);
    if (found < air) low = bulb;
    else high = bulb;
  }
  return { air, wet: humidityRatio(saturation((low + high) / 2)) };
}

/**
 * How fast wet cloth dries. While it is wet a face gives off (25 + 19 v)(x_s − x) kg/(m² h), v the air speed, x the humidity ratio of the
 * air and x_s that of saturated air at the wet-bulb temperature; below a third of the cloth's own mass the rate falls with the square
 * root of what is left, as water has to come from inside the yarns.
 *
 * @throws {InputError} naming the field that cannot be; air that is saturated dries nothing
 * @example drying({ water: 142, sides: 2, temperature: 20, humidity: 50, airSpeed: 0, arealDensity: 142 }).minutesToDry // about 70
 */
export function drying({ water, sides, temperature, humidity, airSpeed, arealDensity, pace = 1 }: DryingOptions): Drying {
  requireNumber('water', water, 'g/m²', { min: 0, max: 20_000 });
  requireNumber('sides', sides, '', { min: 1, max: 2 });
  requireNumber('temperature', temperature, '°C', { min: 0, max: 60 });
  requireNumber('humidity', humidity, '%', { min: 0, max: 99 });
  requireNumber('airSpeed', airSpeed, 'm/s', { min: 0, max: 20 });
  requireNumber('arealDensity', arealDensity, 'g/m²', { above: 0, max: 5000 });
  requireNumber('pace', pace, '', { above: 0, max: 100 });
  const { air, wet } = ratios({ temperature, humidity, airSpeed });
  const rate = (1000 * sides * (25 + 19 * airSpeed) * (wet - air)) / pace;
  return {
    rate,
    minutesToDamp: minutesUntil(DAMP * arealDensity, water, CRITICAL * arealDensity, rate),
    minutesToDry: minutesUntil(DRY * arealDensity, water, CRITICAL * arealDensity, rate),
  };
}

/**
 * Minutes from some water to less of it, g/m², or g all of it; the rate an hour is whole above the critical water and falls below it.
 *
 * @example minutesUntil(50, 150, 100, 60) // about 108.6
 */
export function minutesUntil(left: number, water: number, critical: number, rate: number): number {
  if (water <= left) return 0;
  const constant = Math.max(0, water - Math.max(left, critical)) / rate;
  const from = Math.min(water, critical);
  // dw/dt = −rate √(w/critical), so t = 2 √critical (√from − √left) / rate.
  const falling = left < from ? (2 * Math.sqrt(critical) * (Math.sqrt(from) - Math.sqrt(left))) / rate : 0;
  return 60 * (constant + falling);
}

/** Water that leaves under the iron, g a second. */
const UNDER_IRON = 0.3;

/**
 * How long an iron takes to press some water out of cloth, s.
 *
 * @param water g in all
 * @example secondsUnderIron(30) // 100
 */
export function secondsUnderIron(water: number): number {
  return water / UNDER_IRON;
}

/** How cloth on a line is found by the hand: right, or drier than it should be. */
export const DAMPNESS = ['right', 'too-dry'] as const;
export type Dampness = (typeof DAMPNESS)[number];
