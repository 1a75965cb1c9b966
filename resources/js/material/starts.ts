import data from '../../../core/data/starts.json';
import openings from '../../../core/data/figures/openings.json';
import plan from '../../../core/data/figures/plan.json';
import practice from '../../../core/data/figures/practice.json';
import type { Assembly, Bridge, Piece } from '../api/types';

/** What forms begin with until one says what is so: the core’s own data, never a figure of a screen. */
export const FIRST_WALL = data.wall as Omit<Assembly, 'id' | 'name'>;

/** Orders of magnitude, to be replaced by the system’s own figure. */
export const BRIDGES = data.bridges.map((bridge) => ({ ...bridge, source: data.bridge_source })) as Bridge[];

/** What conducts more than this, W/(m·K), is no insulation for anything to carry heat past. */
export const BRIDGED_BELOW = data.bridged_below_w_mk;

export const INSULATES_BELOW = practice.insulation_w_mk.value;

export const AIR_LEAKAGE = practice.air_leakage_l_s_m2.value;

export const OWN_INDOOR_AIR = data.own_indoor_air as { kind: 'fixed'; temperature_c: number; rh_pct: number };

export const EXPOSURE_HEIGHT_M = data.exposure_height_m;

/** The first storey of a block, mm, and the pitch of a roof that is given one. */
export const STOREY_MM = data.storey_mm;
export const PITCH_DEG = data.pitch_deg;

/** So long before a clock runs out it is told. */
export const SUN_WARNING_DAYS = plan.sun_warning_days.value;

export const SOIL_DEPTH_M = data.soil_depth_m;

export const ZONES: string[] = data.zones;

const sizes: Record<string, number> = data.sizes_mm;
export const firstSize = (name: string): number => sizes[name] ?? data.sizes_mm.other;

const materials: Record<string, string> = data.materials;
export const usualMaterial = (kind: Piece['kind']): string | undefined => materials[kind];

export const CLEARANCE_MM = openings.figures.clearance_mm.value;

export const FRAME_DEPTH_MM = openings.figures.frame_depth_mm.value;

/** Facets that lie rather than stand: drawn going away from the wall. */
export const LYING = new Set(data.lying_facets);
