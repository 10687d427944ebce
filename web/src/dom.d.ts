import 'react'

declare module 'react' {
  interface InputHTMLAttributes<T> {
    /** Lets a file field take a whole folder. */
    webkitdirectory?: T extends HTMLInputElement ? string : never
  }
}
