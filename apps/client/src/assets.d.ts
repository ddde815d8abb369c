/** A face as the bundler gives it: a number that stands for its file. */
declare module '*.woff2' {
  const face: number;
  export default face;
}
