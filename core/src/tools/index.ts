export {
  BLANK_TOOL,
  checkTool,
  PROVISIONS,
  TOOL_BOUNDS,
  TOOL_SORTS,
  ToolInput,
  type Provision,
  type Tool,
  type ToolSort,
} from './tool.ts';
