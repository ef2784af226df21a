import type { View } from '../../api/client'

/** The machines of the room, to choose from. */
export function machineOptions(room: View['RoomView']) {
    return room.machines.map((m) => ({ id: m.machine.id, title: m.machine.name }))
}
