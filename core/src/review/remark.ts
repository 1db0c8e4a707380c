import type { DarkRule, PartNeed } from '../build/index.ts';
import type { EngineWarning } from '../engine/index.ts';
import type { Need } from '../needles/index.ts';
import type { Caution, Level } from '../pattern/index.ts';
import type { OrderLink } from '../writing/index.ts';
import type { Against } from './directions.ts';
import type { FigureWantFault } from './figureWants.ts';
import type { FigureHeightFault } from './heightOfFigure.ts';
import type { HeightFault } from './heightOfParts.ts';

/** Each of these codes, with what has to be known to say it. */
type Of<C extends string, F extends object> = C extends string ? { readonly code: C } & Readonly<F> : never;

/** The build of one choice in which it is so; not there: in the pattern as it is written. */
interface InBuild {
  readonly inBuild?: { readonly optionId: string; readonly valueId: string };
}

/** Of a step, and nothing more has to be said. */
type OfStep<C extends string> = Of<C, { stepId: string }>;

/** In the build of one choice that is not the usual one. */
type OfChoice<C extends string, F extends object> = Of<C, F & { optionId: string; valueId: string }>;

/** What a reader of the pattern would stumble over. None of these stops a draft; each has its place. */
export type Remark = InBuild &
  // Used and listed, both ways.
  (
    | Of<'finding_never_put_on', { findingUseId: string }>
    | Of<'finding_unsaid_in_build', { findingUseId: string; name: string; optionId: string; valueId: string }>
    | Of<'cut_never_used', { cutId: string }>
    | Of<'coat_never_laid' | 'detail_never_worked', { partId: string; useId: string }>
    | Of<'wool_not_in_build' | 'part_not_in_build', { stepId: string; inText: string }>
    | Of<'session_wool_not_in_build' | 'session_part_not_in_build', { sessionId: string; inText: string }>
    | Of<'tool_not_listed' | 'tool_not_used', { needKey: string; what: Need['what'] }>
    | Of<'picture_never_shown' | 'picture_without_words', { pictureId: string }>
    | Of<
        'picture_of_other_build',
        { pictureId: string; name: string; optionId: string | null; valueId: string | null }
      >
    // Made, joined, finished.
    | Of<'promised_absent', { stepId: string; inText: string }>
    | OfStep<'wisp_never_felted' | 'never_closed'>
    | Of<'part_never_made' | 'part_never_joined', { partId: string }>
    | Of<'join_never_made', { joinId: string }>
    | Of<'host_made_later', { joinId: string }>
    | Of<'joined_unfelted', { partId: string }>
    | OfStep<'stand_in_stays' | 'loose_end_nowhere' | 'opening_never_made' | 'choice_never_made'>
    | Of<'loose_end_unsaid' | 'base_left_disturbed', { partId: string }>
    | Of<'hanger_after_coat', { cutId: string }>
    | Of<'loose_end_felted_shut', { stepId: string; name: string }>
    | Of<'matched_too_early', { stepId: string; name: string }>
    // Order and care.
    | Of<'order_broken', { link: OrderLink }>
    | OfStep<'waiting_not_said' | 'irreversible_unchecked' | 'decision_never_recalled'>
    | Of<'glue_sets_longer', { stepId: string; settingMinutes: number }>
    | Of<'caution_taken_off', { stepId: string; caution: Caution }>
    | Of<'pale_after_dark', { stepId: string; paleId: string; darkId: string }>
    | OfStep<'never_lifted'>
    | Of<'wrapped_against', Against>
    // Checks and choices.
    | OfStep<'check_without_remedy' | 'check_without_look' | 'check_points_ahead'>
    | OfStep<'decision_without_answers' | 'choice_of_one'>
    // Counts and pairs.
    | OfStep<'sides_not_said' | 'sides_mixed' | 'same_side_mirrored'>
    | Of<'one_of_a_pair', { partId: string; name: string }>
    | Of<'pair_without_rule', { joinId: string }>
    | Of<'joins_off', { joinId: string; joins: number; count: number }>
    | Of<'holes_off', { stepId: string; holes: number; name: string; count: number }>
    | Of<'curls_off', { cutId: string; curls: number; ends: number }>
    | Of<'range_in_words', { stepId: string; inWords: number; name: string; low: number; high: number }>
    | Of<'repeat_off', { stepId: string; times: number; count: number }>
    | Of<'count_in_words', { stepId: string; inWords: number; name: string; count: number }>
    // Words.
    | OfStep<'step_empty' | 'step_without_parts' | 'points_at_nothing' | 'picture_promised'>
    | Of<'many_acts', { stepId: string; acts: number }>
    | Of<'step_too_long', { stepId: string; words: number }>
    | Of<'term_before_explained', { stepId: string; inText: string; explainedId: string }>
    | Of<'part_unnamed', { partId: string }>
    | Of<'names_alike', { partId: string; otherId: string }>
    | Of<'title_blank', Record<never, never>>
    // Sizes and units.
    | EngineWarning
    | Of<'size_in_words', { stepId: string; inText: string; name: string; isMm: number }>
    | Of<'finding_size_in_words', { stepId: string; inText: string; name: string }>
    | Of<'units_disagree' | 'size_without_stage', { stepId: string; inText: string }>
    | Of<'finer_than_felt', { stepId: string; inText: string }>
    | Of<'exact_in_soft', { partId: string }>
    | Of<'wire_under_stretch', { cutId: string; stretch: string; saidMm: number; needMm: number }>
    | Of<'grams_too_fine', { partId: string; useId: string; massG: number }>
    // Hidden and seen.
    | OfChoice<'left_hanging', { partId: string; missingId: string; why: PartNeed['why'] }>
    | OfChoice<'core_laid_bare', { partId: string }>
    | OfChoice<'place_laid_bare', { partId: string; missingId: string }>
    | Of<'fine_work_hidden', { partId: string; detailKey: string; byPartId: string }>
    | Of<'core_shows_through', { partId: string; useId: string; gPerM2: number; wantedGPerM2: number }>
    // Hands.
    | Of<'wire_in_soft', { cutId: string; name: string }>
    | Of<'line_beyond_staple', { partId: string; useId: string; lengthMm: number; stapleMm: number }>
    | Of<'set_into_soft', { findingUseId: string; name: string }>
    | Of<'detail_on_soft', { partId: string }>
    | Of<
        'firmness_off',
        { stepId: string; is: 'firmer' | 'softer' | 'as firm'; name: string; otherName: string }
      >
    | Of<'holder_reach', { stepId: string; acrossMm: number }>
    | OfStep<'needle_not_said' | 'needle_by_colour' | 'minutes_not_said'>
    | Of<'no_minutes_at_all', Record<never, never>>
    | Of<'minutes_unlikely', { stepId: string; minutes: number; massG: number }>
    | Of<'strip_without_depth', { partId: string; useId: string }>
    | Of<'wire_ends_bare' | 'cord_without_knot' | 'binding_without_turns', { cutId: string }>
    | Of<'level_below', { proposed: Level }>
    | Of<'prerequisites_missing', Record<never, never>>
    // Sessions and options.
    | Of<'session_without_step' | 'session_not_described', { sessionId: string }>
    | Of<'session_starts_without', { sessionId: string; name: string }>
    | Of<'session_promise_absent', { sessionId: string; inText: string }>
    | Of<'value_never_allowed', { optionId: string; valueId: string }>
    | Of<'slot_rule_broken', { rule: DarkRule }>
    | Of<'slot_without_places', { slotId: string }>
    | Of<'colourway_as_written', { colourwayId: string }>
    // The figure together.
    | HeightFault
    | FigureHeightFault
    | FigureWantFault
    | Of<'feature_does_not_fit', { detailKey: string; name: string }>
    | Of<'figure_falls', Record<never, never>>
    | Of<'figure_hangs_crooked', { tiltDeg: number }>
    // Rights.
    | Of<'picture_uncredited', { pictureId: string }>
    | Of<'technique_uncredited', { techniqueUseId: string }>
    | Of<'outline_uncredited', { partId: string }>
    | Of<'adapt_not_granted' | 'credit_missing', Record<never, never>>
  );

export type RemarkCode = Remark['code'];
