import type { Terrain } from '../air';
import type { CutSegment, CutStyle, TakeStyle } from '../footage';
import type { CheckMoment, HandlingName, Kit, ProfileSchool } from '../kit';
import type { Aspect } from '../lens';
import type { Lamps, LightWish, Lit, Sky, Surface } from '../light';
import type { Added, MoveValues, RoutePoint, StoryRole } from '../moves';
import type { Feature } from '../site';
import type { Usage } from '../story';
import type { Ground } from '../terrain';
import type { UnitSystem } from '../units';
import type { Preferences } from './preferences';

export type Priority = 'must' | 'should' | 'could';

export interface Film {
  readonly id: string;
  readonly name: string;
  readonly purpose: string;
  readonly audience: string;
  readonly cutLengthS: number;
  readonly timelineFps: number;
  readonly tempoBpm: number;
  readonly beatsPerCount: number;
  readonly aspect: Aspect;
  readonly stillsWanted: boolean;
  readonly units: UnitSystem;
  readonly preferences: Preferences;
  /** Ids of packs, cards and filters that do not come along. */
  readonly leftHome: readonly string[];
  readonly pilotId: string | null;
}

export interface Location {
  readonly id: string;
  readonly position: string;
  readonly name: string;
  readonly latitude: number;
  readonly longitude: number;
  readonly zone: string;
  readonly elevationM: number;
  readonly date: string;
  readonly windowStart: string;
  readonly windowEnd: string;
  readonly windMs: number;
  readonly gustMs: number;
  readonly windFromDeg: number;
  readonly terrain: Terrain;
  readonly temperatureC: number;
  readonly visibilityM: number;
  readonly sky: Sky;
  readonly lamps: Lamps;
  readonly mainsHz: number;
  readonly ceilingM: number;
  readonly returnHeightM: number;
  /** Launch point where a shot names none; null is the origin. */
  readonly launchId: string | null;
  readonly lossAction: 'return' | 'hover' | 'land';
  /** Minutes from the place before on the same day until ready to fly here. */
  readonly travelMin: number;
  /** A wall socket is there, or on the way there. */
  readonly wallPower: boolean;
  /** Times of the day at which nobody flies. */
  readonly breaks: readonly { readonly from: string; readonly minutes: number }[];
  readonly notes: string;
}

export type SubjectKind =
  'person' | 'vehicle' | 'train' | 'boat' | 'trees' | 'house' | 'tower' | 'bridge' | 'field' | 'other';

export interface Subject {
  readonly id: string;
  readonly locationId: string;
  readonly name: string;
  readonly kind: SubjectKind;
  readonly xM: number;
  readonly yM: number;
  /** Foot of the subject above (+) or below (−) the launch point. */
  readonly baseM: number;
  readonly heightM: number;
  /** Along its heading. */
  readonly widthM: number;
  /** Across it; 0 is what is usual for its kind. */
  readonly depthM: number;
  /** Bearing it moves on, or of its long side when it stands. */
  readonly headingDeg: number;
  readonly speedMs: number;
  /** Where it goes, if not straight along its heading. */
  readonly path: readonly { readonly xM: number; readonly yM: number }[];
}

export interface Shot {
  readonly id: string;
  readonly locationId: string;
  readonly position: string;
  readonly title: string;
  readonly subjectId: string | null;
  readonly role: StoryRole;
  readonly priority: Priority;
  readonly wants: LightWish;
  readonly move: {
    readonly kind: string;
    readonly values: MoveValues;
    readonly reversed: boolean;
    readonly added: Added;
    readonly points: readonly RoutePoint[];
    /** Ids of numbers that stay as given when another is solved for. */
    readonly locked: readonly string[];
  };
  readonly aircraftId: string | null;
  readonly cameraId: string;
  readonly modeId: string;
  readonly zoom: number;
  readonly cut: {
    readonly by: 'seconds' | 'beats' | 'counts';
    readonly beats: number;
    readonly segments: readonly CutSegment[];
  };
  readonly cutStyle: CutStyle;
  readonly takes: number;
  readonly takeStyle: TakeStyle;
  readonly setupS: number;
  readonly subjectMarginS: number;
  readonly exposure: {
    readonly aperture: number | null;
    readonly shutterS: number | null;
    readonly iso: number | null;
    /** null leaves it to the solver, 'bare' is no filter. */
    readonly filterId: string | null;
  };
  /** Subject darker (−) or brighter (+) than the open scene, stops. */
  readonly offsetStops: number;
  readonly surface: Surface;
  readonly lit: Lit;
  /** null as the film has it. */
  readonly profile: ProfileSchool | null;
  /** White balance fixed by hand, kelvin; null as suggested. */
  readonly kelvin: number | null;
  /** Distance focused by hand, m; null is far. */
  readonly focusM: number | null;
  /** Not flown before this minute of the place's date. */
  readonly notBefore: string | null;
  readonly records: 'video' | 'stills' | 'both';
  readonly stills: number;
  readonly stillAs: 'compressed' | 'raw' | 'both';
  readonly handling: HandlingName;
  /** Walk to the mark when the pilot is in the shot, s one way; null when not. */
  readonly walkS: number | null;
  readonly layers: { readonly foreground: string; readonly middle: string; readonly background: string };
  readonly usage: Usage;
  /** Place in the cut where it differs from the list; empty follows it. */
  readonly cutPosition: string;
  readonly launchId: string | null;
  /** What it does when the signal is lost; null as the place has it. */
  readonly lossAction: 'return' | 'hover' | 'land' | null;
  /** Flown with the aid that keeps the height over ground, which only climbs. */
  readonly overGround: boolean;
  /** First or last of its place. */
  readonly turn: 'any' | 'first' | 'last';
  /** Not flown before this shot. */
  readonly afterId: string | null;
  readonly notes: string;
}

export interface Reading {
  readonly id: string;
  readonly locationId: string;
  readonly utcMs: number;
  readonly ev100: number;
}

/** A flight as a person decided it. */
export interface FlightPlan {
  readonly id: string;
  readonly locationId: string;
  readonly position: string;
  readonly aircraftId: string;
  readonly launchId: string | null;
  /** null takes the first pack that fits. */
  readonly packId: string | null;
  readonly stops: readonly { readonly shotId: string; readonly pinned: boolean }[];
  readonly locked: boolean;
  readonly notBefore: string | null;
}

/** What somebody found when something was checked; the newest answer counts. */
export interface Answer {
  readonly id: string;
  readonly locationId: string;
  readonly checkId: string;
  readonly moment: CheckMoment;
  readonly shotId: string | null;
  readonly verdict: 'passed' | 'failed' | 'waived' | 'open';
  readonly reason: string;
  /** What the check had found when it was answered; empty where a person was asked. */
  readonly found: string;
  readonly who: string;
  readonly utcMs: number;
}

/** A film with everything the reckoning needs. */
export interface FilmInput {
  readonly film: Film;
  readonly locations: readonly Location[];
  readonly subjects: readonly Subject[];
  readonly shots: readonly Shot[];
  readonly readings: readonly Reading[];
  /** What is drawn on the plans of the places. */
  readonly features: readonly Feature[];
  /** Flights that were laid down; shots in none are put on packs in list order after them. */
  readonly flights: readonly FlightPlan[];
  readonly answers: readonly Answer[];
  /** Ground by location, where a raster is known; elsewhere it is taken as level. */
  readonly terrain?: ReadonlyMap<string, Ground>;
  readonly kit: Kit;
}
