package paredown.gate;

import java.util.Map;

/**
 * A test result is what one test said in one run.
 *
 * @param name the class and the test, {@code ferry.desk.SailingTest#floatsAtSlackWater}
 * @param message what it complained of; empty where it passed
 * @param place where it complained, {@code SailingTest.java:41}; empty where that is not known
 */
public record TestResult(String name, Status status, String message, String place) {

  /** How a test ended. */
  public enum Status {
    PASSED,
    FAILED,
    SKIPPED
  }

  /** The name without what tells the runs of a parameterized test apart. */
  String family() {
    int sharp = name.indexOf('#');
    String method = name.substring(sharp + 1);
    int end = 0;
    while (end < method.length() && Character.isJavaIdentifierPart(method.charAt(end))) {
      end++;
    }
    return name.substring(0, sharp + 1) + method.substring(0, end);
  }

  /** The same where classes have other names. */
  TestResult renamed(Map<String, String> classes) {
    for (Map.Entry<String, String> each : classes.entrySet()) {
      boolean meant = name.startsWith(each.getKey() + "#") || name.startsWith(each.getKey() + "$");
      if (meant) {
        String now = each.getValue() + name.substring(each.getKey().length());
        return new TestResult(now, status, message, place);
      }
    }
    return this;
  }

  public boolean failed() {
    return status == Status.FAILED;
  }
}
