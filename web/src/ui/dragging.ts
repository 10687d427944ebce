import {
  type Announcements,
  KeyboardSensor,
  MouseSensor,
  type SensorDescriptor,
  type SensorOptions,
  TouchSensor,
  type UniqueIdentifier,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable'

// The same objects at every render: other ones would draw every row again.
const MOUSE = { activationConstraint: { distance: 4 } }
const TOUCH = { activationConstraint: { delay: 220, tolerance: 8 } }
const KEYBOARD = { coordinateGetter: sortableKeyboardCoordinates }

/** How things are taken hold of: by mouse at once, by touch after holding (a swipe always scrolls), by keyboard. */
export function useDragSensors(): SensorDescriptor<SensorOptions>[] {
  return useSensors(
    useSensor(MouseSensor, MOUSE),
    useSensor(TouchSensor, TOUCH),
    useSensor(KeyboardSensor, KEYBOARD),
  )
}

/** What is spoken while something is moved, by the names of things. */
export function dragWords(nameOf: (id: UniqueIdentifier) => string): Announcements {
  return {
    onDragStart: ({ active }) => `${nameOf(active.id)} is picked up.`,
    onDragOver: ({ active, over }) =>
      over === null
        ? `${nameOf(active.id)} is over nothing.`
        : `${nameOf(active.id)} is at ${nameOf(over.id)}.`,
    onDragEnd: ({ active, over }) =>
      over === null
        ? `${nameOf(active.id)} is put back.`
        : `${nameOf(active.id)} is put at ${nameOf(over.id)}.`,
    onDragCancel: ({ active }) => `${nameOf(active.id)} is put back.`,
  }
}
