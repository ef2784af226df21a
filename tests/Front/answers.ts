import contract from '../../docs/formats/openapi.json'

type Schema = Readonly<Record<string, unknown>>
const schemas = contract.components.schemas as unknown as Record<string, Schema>

/** "full": whatever may be there is there, and every list has one in it. "bare": nothing is there that may be missing. */
export type How = 'full' | 'bare'

const DAY = '2030-03-01'
const MOMENT = `${DAY}T18:30:00Z`

/** A value that the contract allows, from its own schemas: what a place must be able to show. */
export function example(schema: Schema, how: How, name = '', depth = 0): unknown {
    if (typeof schema.$ref === 'string') return example(schemas[schema.$ref.split('/').at(-1) ?? ''] ?? {}, how, name, depth)
    const among = (schema.oneOf ?? schema.anyOf) as Schema[] | undefined
    if (among !== undefined) {
        const empty = among.find((one) => one.type === 'null')
        const one = how === 'bare' && empty !== undefined ? empty : among.find((each) => each !== empty)
        return example(one ?? {}, how, name, depth)
    }
    if (Array.isArray(schema.allOf)) return Object.assign({}, ...(schema.allOf as Schema[]).map((part) => example(part, how, name, depth))) as unknown
    const types = Array.isArray(schema.type) ? (schema.type as string[]) : [schema.type as string | undefined]
    if (how === 'bare' && types.includes('null')) return null
    if (Array.isArray(schema.enum)) return (schema.enum as unknown[]).find((one) => one !== null)
    switch (types.find((type) => type !== 'null')) {
        case 'object':
            return object(schema, how, depth)
        case 'array':
            return list(schema, how, name, depth)
        case 'boolean':
            return how === 'full'
        case 'integer':
        case 'number':
            return Math.max(1, Number(schema.minimum ?? 1))
        case 'string':
            return text(schema, name)
        default:
            return {}
    }
}

function object(schema: Schema, how: How, depth: number): Record<string, unknown> {
    const properties = (schema.properties ?? {}) as Record<string, Schema>
    const needed = (schema.required ?? Object.keys(properties)) as string[]
    const said = Object.entries(properties).filter(([key]) => how === 'full' || needed.includes(key))
    return Object.fromEntries(said.map(([key, of]) => [key, example(of, how, key, depth + 1)]))
}

function list(schema: Schema, how: How, name: string, depth: number): unknown[] {
    const least = Number(schema.minItems ?? 0)
    const many = Math.max(least, how === 'full' && depth < 8 ? 1 : 0)
    return Array.from({ length: many }, () => example((schema.items ?? {}) as Schema, how, name, depth + 1))
}

function text(schema: Schema, name: string): string {
    if (/(_at|^at|^now|backup)$/.test(name) || schema.format === 'date-time') return MOMENT
    if (/(_on|^day|closed|^first$|weekday)$/.test(name) || schema.format === 'date') return DAY
    if (name === 'timezone') return 'UTC'
    if (name === 'time') return '18:30'
    if (/(^id|student|machine|class|lesson)$/.test(name)) return 'one'
    return 'word'
}

/** What the server would answer a request with, by the contract; null where the contract has no such path. */
export function answerTo(method: string, path: string, how: How, instead: Record<string, unknown> = {}): unknown {
    for (const [template, acts] of Object.entries(contract.paths as unknown as Record<string, Record<string, Schema>>)) {
        const pattern = new RegExp(`^${template.replaceAll(/\{[^}]+\}/g, '[^/]+')}$`)
        if (!pattern.test(path)) continue
        if (template in instead) return instead[template]
        const act = acts[method.toLowerCase()] as { responses?: Record<string, { content?: Record<string, { schema?: Schema }> }> } | undefined
        const schema = (act?.responses?.['200'] ?? act?.responses?.['201'])?.content?.['application/json']?.schema
        return schema === undefined ? {} : example(schema, how)
    }
    return null
}
