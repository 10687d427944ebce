export { AddField } from './AddField'
export { BandSlider } from './BandSlider'
export { Button, buttonClass, type ButtonProps, IconButton } from './Button'
export { Card, CardTitle, Chip, type ChipTone, Tag } from './Card'
export { Choice } from './Choice'
export { DragNumber } from './DragNumber'
export { Empty } from './Empty'
export { Field, NumberField, SelectInput, TextArea, TextInput } from './Field'
export { Finder, type FinderGroup, type FinderItem } from './Finder'
export { Folded } from './Folded'
export { formatDay } from './formatDay'
export {
  BandAndSeed,
  BeforeAndAfter,
  type MarkedPlace,
  type Standing,
  Strip,
  type StripPart,
  TastedMark,
  WindowAndTick,
} from './marks'
export { Sheet } from './Sheet'
export { dragWords, useDragSensors } from './dragging'
export { neighbourFocus } from './focus'
export { setSingleKeys, useSingleKeys } from './keys'
export { isSheetOpen, isTyping, useShortcut } from './useShortcut'
export { ActionSlot, HeaderActions } from './Slot'
export { LoneField } from './LoneField'
export { RowMark } from './RowMark'
export { sameProps } from './sameProps'
export { saveFile } from './saveFile'
export { useNear } from './useNear'
export { useOutOfSight } from './useOutOfSight'
export { useSettled } from './useSettled'
export { ToggleChip } from './ToggleChip'
export { ToastHost } from './ToastHost'
export { toast } from './told'
