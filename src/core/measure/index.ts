export {
  missingLetters,
  textWidth,
  verticalMetrics,
  type FaceStyle,
  type MeasuredStyle,
  type VerticalMetrics,
} from "./measure-text";
