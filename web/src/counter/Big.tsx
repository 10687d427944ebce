import { clsx } from 'clsx'
import { Button, type ButtonProps } from '../ui'

/** A button for wet hands: 56 px and more. */
export const BigButton = ({ className, ...rest }: ButtonProps) => (
  <Button className={clsx('min-h-[56px] px-5 text-[17px]', className)} {...rest} />
)
