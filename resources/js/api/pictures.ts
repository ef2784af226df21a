import type { View } from './client'

/** A lesson drawn, each picture whole. */
export interface Pictures {
    acts: View['PictureView'][]
    steps: View['PictureView'][]
    stories: View['FoldView'][]
}

/** What was sent once for several pictures is put into each of them. */
export function whole(sent: View['LessonPicturesView']): Pictures {
    const drawn = ({ uses, ...rest }: View['DrawnView']): View['PictureView'] => ({ ...rest, shapes: uses.flatMap((i) => sent.parts[i] ?? []) })
    return {
        acts: sent.acts.map(drawn),
        steps: sent.steps.map(drawn),
        stories: sent.stories.map((s) => ({ ...s, steps: s.steps.map((step) => ({ say: step.say, moves: [], picture: drawn(step.picture) })) })),
    }
}
