package paredown.project;

/** The build tool is what compiles the user's code and runs its tests. */
public enum BuildTool {
  MAVEN,
  /** No build that is understood: folders of sources, and a test command of the user's own. */
  FOLDERS
}
