import type { Key } from './words'

/** The tools of the workshop by their address, in the order they lie there. */
export const TOOL_NAMES = {
    stitch: 'workshop.stitchPicture',
    faults: 'workshop.faultFinder',
    picture: 'workshop.pictureRuler',
    worked: 'workshop.whatWorked',
    buttonhole: 'workshop.buttonholeAndButton',
    guide: 'workshop.guideFinder',
    clearance: 'workshop.clearance',
    needle: 'workshop.needleAndThread',
    dial: 'workshop.dialTranslator',
    tension: 'common.tension',
    feet: 'workshop.whichFeet',
    name: 'workshop.nameThisFoot',
    'blind-hem': 'workshop.blindHemSetter',
} as const satisfies Record<string, Key>

export type ToolId = keyof typeof TOOL_NAMES

export const TOOL_IDS = Object.keys(TOOL_NAMES) as ToolId[]
