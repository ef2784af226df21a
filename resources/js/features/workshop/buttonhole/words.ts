import type { View } from '../../../api/client'
import { mm } from '../../../text/numbers'
import { t, type Key } from '../../../text/words'

type Plan = View['ButtonholePlanView']

export const SHAPES = { flat: 'workshop.buttonFlat', domed: 'workshop.buttonDomed', ball: 'workshop.buttonBall' } as const satisfies Record<string, Key>
export const PARTS = {
    front: 'workshop.partFront',
    cuff: 'workshop.partCuff',
    waistband: 'workshop.partWaistband',
    'collar-stand': 'workshop.partCollar',
    coat: 'workshop.partCoat',
    other: 'workshop.partOther',
} as const satisfies Record<string, Key>
export const WEIGHTS = { light: 'workshop.clothLight', medium: 'workshop.clothMedium', heavy: 'workshop.clothHeavy' } as const satisfies Record<string, Key>
export const STRETCH = { none: 'workshop.stretchNone', 'one-way': 'workshop.stretchOne', 'two-way': 'workshop.stretchTwo' } as const satisfies Record<
    string,
    Key
>
export const KINDS = {
    rectangular: 'workshop.kindRectangular',
    'round-ended': 'workshop.kindRound',
    keyhole: 'workshop.kindKeyhole',
    stretch: 'workshop.kindStretch',
    corded: 'workshop.kindCorded',
} as const satisfies Record<string, Key>
export const DIRECTIONS = { horizontal: 'workshop.across2', vertical: 'workshop.along2' } as const satisfies Record<string, Key>
export const UNDER: Record<string, Key> = { 'fusible-inside': 'workshop.underFusible', 'tear-away-beneath': 'workshop.underTearAway' }
export const TOLD = {
    marks: 'workshop.byMarks',
    slider: 'workshop.bySlider',
    'button-in-foot': 'workshop.byButtonInFoot',
    typed: 'workshop.byTyped',
    'by-hand': 'workshop.byHand',
} as const satisfies Record<string, Key>
export const SCHOOLS = {
    'diameter-plus-quarter': 'workshop.schoolQuarter',
    'diameter-thickness-eighth': 'workshop.schoolEighth',
    'button-in-foot': 'workshop.schoolInFoot',
    'marked-width': 'workshop.schoolWidth',
    'half-wrap': 'workshop.schoolHalfWrap',
    'slider-lines': 'workshop.schoolLines',
} as const satisfies Record<string, Key>
export const PASSES = { passes: 'workshop.passes', tight: 'workshop.tight', 'will-not-pass': 'workshop.willNotPass' } as const satisfies Record<string, Key>
export const WAYS: Record<string, Key> = {
    'one-step': 'room.buttonholeOneStep',
    'one-step-sensing': 'room.buttonholeSensing',
    'four-step': 'room.buttonholeFourStep',
    'three-position': 'room.buttonholeThreePosition',
    'foot-tells': 'room.buttonholeFootTells',
    typed: 'room.buttonholeTyped',
    'by-hand': 'workshop.byHand',
}
export const FIELDS: Record<string, Key> = {
    left_mm: 'workshop.holeLeft',
    right_mm: 'workshop.holeRight',
    bar_front_mm: 'workshop.holeBarFront',
    bar_back_mm: 'workshop.holeBarBack',
    front_from_mark_mm: 'workshop.holeFrontMark',
    back_from_mark_mm: 'workshop.holeBackMark',
    gap_mm: 'workshop.holeGap',
    points_left: 'workshop.holePointsLeft',
    points_right: 'workshop.holePointsRight',
    cloth_shows_left: 'workshop.holeShowsLeft',
    cloth_shows_right: 'workshop.holeShowsRight',
    edge_front_mm: 'workshop.holeEdgeFront',
    edge_back_mm: 'workshop.holeEdgeBack',
    puckered: 'workshop.holePuckered',
    ridge: 'workshop.holeRidge',
    thread_caught: 'workshop.holeCaught',
    nest: 'workshop.holeNest',
    start_gap: 'workshop.holeStartGap',
    tied: 'workshop.holeTied',
    opening_mm: 'workshop.holeOpening',
    button: 'workshop.theButton',
    bar_cut: 'workshop.holeBarCut',
    side_cut: 'workshop.holeSideCut',
}
export const STACK: Record<string, Key> = {
    weight: 'workshop.cloth',
    stretch: 'workshop.cloth',
    delicate: 'workshop.cloth',
    layers: 'workshop.layers',
    interfacing: 'workshop.interfacing',
    stabiliser: 'workshop.stabiliser',
    thread: 'workshop.threadOf',
    needle: 'workshop.needleOf',
    diameter_mm: 'workshop.theButton',
    thickness_mm: 'workshop.theButton',
    wrap_mm: 'workshop.theButton',
    kind: 'workshop.kindOf',
    machine: 'workshop.machineOf',
    foot: 'workshop.footOf',
    density: 'workshop.density',
    width_mm: 'workshop.widthOf',
}

/** What is not the same, each once, in words. */
export const different = (names: readonly string[]) => [...new Set(names.map((name) => t(STACK[name] ?? 'workshop.cloth')))].join(', ')

export const percent = (share: number) => `${mm(share * 100, 0)} %`

/** The needle points of a hole in the order they are sewn, and where each part ends. */
export function sewn(plan: Plan): { points: number[][]; ends: Record<string, number> } {
    const points: number[][] = []
    const ends: Record<string, number> = {}
    for (const [part, of] of Object.entries(plan.parts)) {
        points.push(...of)
        ends[part] = points.length
    }
    return { points, ends }
}
