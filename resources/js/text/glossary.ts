import { t, type Key } from './words'

/** The words of the program that are not everybody's, each with what it means here. */
export const TERMS = {
    sampler: ['glossary.sampler', 'glossary.samplerIs'],
    sample: ['glossary.sample', 'glossary.sampleIs'],
    reading: ['glossary.reading', 'glossary.readingIs'],
    met: ['glossary.met', 'glossary.metIs'],
    skill: ['glossary.skill', 'glossary.skillIs'],
    strand: ['glossary.strand', 'glossary.strandIs'],
    begun: ['glossary.begun', 'glossary.begunIs'],
    refresh: ['glossary.refresh', 'glossary.refreshIs'],
    drill: ['glossary.drill', 'glossary.drillIs'],
    roundSew: ['glossary.roundSew', 'glossary.roundSewIs'],
    roundWalk: ['glossary.roundWalk', 'glossary.roundWalkIs'],
    shelf: ['glossary.shelf', 'glossary.shelfIs'],
    apart: ['glossary.apart', 'glossary.apartIs'],
    pin: ['glossary.pin', 'glossary.pinIs'],
    school: ['glossary.school', 'glossary.schoolIs'],
    pace: ['glossary.pace', 'glossary.paceIs'],
    forecast: ['glossary.forecast', 'glossary.forecastIs'],
    allowance: ['glossary.allowance', 'glossary.allowanceIs'],
    guide: ['glossary.guide', 'glossary.guideIs'],
    wayIn: ['glossary.wayIn', 'glossary.wayInIs'],
    overruled: ['glossary.overruled', 'glossary.overruledIs'],
    seat: ['glossary.seat', 'glossary.seatIs'],
} as const satisfies Record<string, readonly [Key, Key]>

export type Term = keyof typeof TERMS

/** All of them in the order of the alphabet. */
export const glossary = (): { term: Term; word: string; is: string }[] =>
    (Object.keys(TERMS) as Term[]).map((term) => ({ term, word: t(TERMS[term][0]), is: t(TERMS[term][1]) })).sort((a, b) => a.word.localeCompare(b.word))
