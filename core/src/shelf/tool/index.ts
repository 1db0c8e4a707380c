export { proposeStandsFor } from './standsFor.ts';
export { isSameToolName } from './toolName.ts';
export {
  BLANK_TOOL,
  checkTool,
  PROVISIONS,
  TOOL_BOUNDS,
  TOOL_KEYS,
  ToolInput,
  type Provision,
  type Tool,
  type ToolKey,
  type ToolSort,
} from './tool.ts';
