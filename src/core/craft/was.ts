/**
 * How the options of a part of a file, a technique's, a build's or a product family's, were written in earlier versions: by the version that wrote them
 * so, what makes them what the next version writes. Pure; gets options, all of them or a nail's few, and gives new ones.
 */
export type Was = Readonly<Record<number, (options: Options) => Options>>;
export type Options = Readonly<Record<string, unknown>>;
