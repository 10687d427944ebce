export {
  beside,
  type Coloured,
  colourWords,
  deltaE,
  hexOf,
  type Lab,
  mixed,
  type Piece,
  withPieces,
} from './mix'
export { BROWNED, brownShare, type Cooked, coloursOf } from './pigments'
