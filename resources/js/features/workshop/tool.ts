import { useState } from 'react'
import type { View } from '../../api/client'

/** What every tool of the workshop is given. */
export interface ToolProps {
    room: View['RoomView']
    unit: 'mm' | 'in'
}

/** A machine of the room to choose, kept by id. */
export function useMachineChoice(room: View['RoomView'], start = 0) {
    const [id, setId] = useState(room.machines[start]?.machine.id ?? room.machines[0]?.machine.id ?? '')
    return { id, setId, machine: room.machines.find((m) => m.machine.id === id)?.machine }
}
