/** A food's name within a sentence, without its kind: "Miso, red" is miso. */
export const foodWords = (name: string): string => name.toLowerCase().split(/[,(]/u)[0]?.trim() ?? name
