/** What is read of each place, by the first word of a query's key. A change names the places it touches; only those are read again. */
export const READ = {
    account: ['me', 'devices', 'registration', 'join'],
    session: ['today', 'bench', 'pulse', 'front'],
    looking: ['look', 'photos', 'judged'],
    samples: ['sample', 'newest', 'next'],
    class: ['names', 'class', 'student', 'own', 'own-pictures', 'home', 'evidence', 'forecast', 'known', 'goes'],
    finder: ['find'],
    plan: ['plan', 'plan-needs', 'plan-costs', 'estimate', 'job'],
    materials: ['materials', 'print'],
    lessons: ['lessons', 'pictures', 'lesson-text', 'dials', 'shelf', 'faults', 'draft'],
    room: ['room', 'machines'],
    workshop: ['answers', 'hunt', 'settings-log', 'compute', 'buttonhole', 'buttonholes', 'run', 'foot-parts', 'foot-name', 'blind-hem'],
    studio: ['studio', 'soundness', 'photo-card', 'camera'],
    pictures: ['picture', 'lens', 'lens-there'],
} as const

export type Place = keyof typeof READ

const ALL = Object.keys(READ) as Place[]
const but = (...not: Place[]): readonly Place[] => ALL.filter((p) => !not.includes(p))

/** What each kind of change touches. */
export const TOUCHES = {
    /** Nothing that is kept: an answer was worked out, or comes only now. */
    nothing: [] as readonly Place[],
    /** A sample kept, corrected, withdrawn: what is known of somebody, what comes next, how long it takes. */
    sample: but('account', 'lessons', 'room', 'finder'),
    /** What others kept meanwhile; the sample in hand stays as it is under the hand. */
    others: ['session', 'samples', 'class'] as readonly Place[],
    /** Who is in a class, and what is noted of them. */
    people: but('lessons', 'workshop'),
    /** Which lessons stand on which day. */
    plan: but('lessons', 'workshop', 'studio'),
    /** A student's own page. */
    own: ['class'] as readonly Place[],
    /** A student's own machine: what is sewn at home, and on it where it is brought along. */
    home: ['class', 'looking'] as readonly Place[],
    /** Who sits where with what, and who is there. */
    bench: ['session', 'looking', 'class', 'samples', 'plan'] as readonly Place[],
    machines: but('account', 'studio'),
    /** A lesson, or the way it is taught. */
    lessons: but('account'),
    cupboard: ['materials', 'plan'] as readonly Place[],
    workshop: ['workshop', 'looking'] as readonly Place[],
    account: but('room', 'workshop'),
    everything: ALL,
}

/** Whether something was read of one of these places. */
export function touched(places: readonly Place[], key: readonly unknown[]): boolean {
    return places.some((place) => (READ[place] as readonly unknown[]).includes(key[0]))
}
