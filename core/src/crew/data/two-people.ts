import type { TwoPersonStep } from '../types.ts';

/** Steps that take two people. */
export const twoPersonSteps: readonly TwoPersonStep[] = [
  { id: 'duo-bonnet', step: 'Bonnet off and on', bothMinutes: { least: 10, most: 20 }, roles: 'each side', at: ['rm-bonnet-off'] },
  { id: 'duo-hv', step: 'Every high-voltage step', roles: 'worker authorised, watcher trained to cut off and call', at: ['rm-hv-make-safe', 'rm-hv-prove-dead', 'rm-hv-pack-out', 'gate-ei-hv', 'gate-hv-people', 'gate-hv-dead', 'gate-hvd-people', 'gate-hvd-dead'] },
  { id: 'duo-lift', step: 'Engine lift, in or out', bothMinutes: { least: 30, most: 90 }, roles: 'one at the hoist, one caller and guide, agreed stop word', at: ['rm-lift-50', 'rm-exit', 'gate-ei-roles'] },
  { id: 'duo-shaft', step: 'Long propshaft down', bothMinutes: { least: 5, most: 10 }, roles: 'shaft, last bolts', alone: 'support strap', at: ['rm-propshaft-off'] },
  { id: 'duo-exhaust', step: 'Exhaust down or offered up', bothMinutes: { least: 10, most: 30 }, roles: 'hold, fasten or tack', alone: 'stands at two points', at: ['rm-exhaust-front', 'rm-exhaust-cut'] },
  { id: 'duo-gearbox', step: 'Gearbox mated', bothMinutes: { least: 15, most: 60 }, roles: 'one turns the crank, one moves the gearbox', alone: 'gearbox jack with tilt, slow', at: ['bld-join'] },
  { id: 'duo-subframe', step: 'Subframe down or up', bothMinutes: { least: 30, most: 90 }, roles: 'table, body or lift switch, watcher at the tunnel', at: ['rm-subframe-loose'] },
  { id: 'duo-head', step: 'Heavy head on', bothMinutes: { least: 5, most: 5 }, roles: 'each end', alone: 'hoist', at: ['bld-head'] },
  { id: 'duo-hub', step: 'Hot pulley', bothMinutes: { least: 2, most: 2 }, roles: 'heat, push', alone: 'installer tool', at: ['bld-hub-press'] },
  { id: 'duo-snag', step: 'Snag walk before lift', bothMinutes: { least: 5, most: 15 }, roles: 'not the one who disconnected', alone: 'second look after a break, noted', at: ['rm-snag-walk'] },
  { id: 'duo-bleed', step: 'Brakes or clutch bled', bothMinutes: { least: 15, most: 40 }, roles: 'pedal, screw', alone: 'pressure bleeder', at: ['gate-ei-clutch'] },
  { id: 'duo-prime', step: 'Fuel first pressurised', bothMinutes: { least: 5, most: 15 }, roles: 'switch, joints; spoken on and off, extinguisher held', at: ['gate-fs-leak'] },
  { id: 'duo-start', step: 'First start', bothMinutes: { least: 15, most: 60 }, roles: 'starter with kill switch, watcher with extinguisher', at: ['gate-fs-watch', 'gate-fs-extinguisher'] },
  { id: 'duo-timing', step: 'Belt-drive fasteners signed', bothMinutes: { least: 5, most: 5 }, roles: 'fitter, second look', alone: 'next-day second look', at: ['bld-front-torque'] },
  { id: 'duo-close', step: 'Closing the engine', bothMinutes: { least: 10, most: 10 }, roles: 'builder, second look', alone: 'photos signed later, before oil', at: ['bld-close'] },
  { id: 'duo-tack', step: 'Mounts or flanges tacked', bothMinutes: { least: 20, most: 60 }, roles: 'hold to the mark, tack', alone: 'clamps, magnets off when welding', at: ['gate-ei-mount-side'] },
  { id: 'duo-spring', step: 'Strut or loaded arm lowered', bothMinutes: { least: 10, most: 20 }, roles: 'jack, nut', alone: 'rated compressor and chain', at: ['rm-driveshafts-off'] },
  { id: 'duo-pack', step: 'Heavy parts onto a cart, 25 kg and up', bothMinutes: { least: 5, most: 5 }, roles: 'each end', alone: 'lift aid', at: ['rm-set-down', 'rm-old-away'] },
  { id: 'duo-road', step: 'First drive', bothMinutes: { least: 20, most: 60 }, roles: 'driver, listener with log', alone: 'short, near the shop', at: ['gate-fd-lamps'] },
];
