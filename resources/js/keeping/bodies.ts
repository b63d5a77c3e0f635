/** The bodies that a bag is drawn with, of a width of 80 and a height of 96. */
export const BODY = {
    jar: 'M16 22h48q6 0 6 8v52q0 8-8 8H18q-8 0-8-8V30q0-8 6-8z',
    tub: 'M8 40h64l-6 44q-1 6-7 6H21q-6 0-7-6z',
    pouch: 'M14 20h52l4 66q0 4-4 4H14q-4 0-4-4z',
    dough: 'M12 66q0-26 28-26t28 26q0 24-28 24T12 66z',
    tin: 'M18 34h44v50q0 6-22 6t-22-6z',
} as const

export const bodyId = (shape: keyof typeof BODY): string => `bag-body-${shape}`
