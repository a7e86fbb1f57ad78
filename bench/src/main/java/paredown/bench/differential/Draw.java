package paredown.bench.differential;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.regex.Pattern;

/** Draws an operation and a site for a random program. */
interface Draw {
  /** All operations, by their names. */
  Map<String, Draw> ALL = new TreeMap<>(all());

  private static Map<String, Draw> all() {
    Map<String, Draw> all =
        new TreeMap<>(
            Map.of(
                "move-method",
                Draw::moveMethod,
                "extract-class",
                Draw::extractClass,
                "extract-method",
                (program, random) -> extractMethod(program.files(), random),
                "inline-variable",
                (program, random) -> inlineVariable(program.files(), random),
                "extract-variable",
                (program, random) -> extractVariable(program.files(), random),
                "inline-method",
                Draw::inlineMethod,
                "inline-class",
                (program, random) -> "inline class " + one(types(program), random),
                "order-members",
                (program, random) -> "order members " + one(types(program), random),
                "rename",
                Draw::rename,
                "rename-type",
                Draw::renameType));
    all.put("parameter-object", (program, random) -> parameterObject(program.files(), random));
    all.put("builder", (program, random) -> "extract builder Order");
    all.put("move-field", Draw::moveField);
    all.put("generic-inline", (program, random) -> RandomGeneric.inlineMethod(random));
    all.put("generic-up", (program, random) -> RandomGeneric.superclass(random));
    all.put("generic-object", (program, random) -> RandomGeneric.parameterObject(random));
    all.put(
        "move-class",
        (program, random) ->
            "move class %s --to %s"
                .formatted(
                    one(types(program), random), one(List.of("Owner", "Target", "q"), random)));
    all.put("remove-member", (program, random) -> removeMember(random));
    all.put("remove-parameter", (program, random) -> removeParameter(program.files(), random));
    all.put("superclass", (program, random) -> superclass(program.files(), random));
    all.put("move-down", (program, random) -> moveDown(random));
    all.put("move-parameter", (program, random) -> moveParameter(random));
    all.put("extract-question", (program, random) -> extractQuestion(program.files(), random));
    all.put(
        "extract-value",
        (program, random) ->
            "extract value Owner#%s --name Fresh%s"
                .formatted(
                    one(program.fields(), random), random.nextBoolean() ? " --accessors" : ""));
    all.put("change-type", Draw::changeType);
    all.put("extract-field", (program, random) -> extractField(program.files(), random));
    return all;
  }

  /** The operations that have programs of their own, which give them something to do. */
  Map<String, BiFunction<Map<String, String>, Random, String>> WITH_PROGRAMS =
      new TreeMap<>(
          Map.ofEntries(
              Map.entry("extract-method", Draw::extractMethod),
              Map.entry("inline-variable", Draw::inlineVariable),
              Map.entry("extract-variable", Draw::extractVariable),
              Map.entry("extract-field", Draw::extractField),
              Map.entry("parameter-object", Draw::parameterObject),
              Map.entry("superclass", Draw::superclass),
              Map.entry("move-class", RandomNested::command),
              Map.entry("generic-inline", (files, random) -> RandomGeneric.inlineMethod(random)),
              Map.entry("generic-up", (files, random) -> RandomGeneric.superclass(random)),
              Map.entry("generic-object", (files, random) -> RandomGeneric.parameterObject(random)),
              Map.entry("move-down", (files, random) -> moveDown(random)),
              Map.entry("move-parameter", (files, random) -> moveParameter(random)),
              Map.entry("extract-question", Draw::extractQuestion),
              Map.entry("builder", (files, random) -> "extract builder Order"),
              Map.entry("remove-member", (files, random) -> removeMember(random)),
              Map.entry("remove-parameter", Draw::removeParameter),
              Map.entry("inline-method", Draw::inlineMethod),
              Map.entry(
                  "inline-class",
                  (files, random) ->
                      "inline class " + one(List.of("Sub", "Desk", "Part", "Part"), random))));

  /** A command as it is typed. */
  String command(RandomProgram program, Random random);

  private static <T> T one(List<T> of, Random random) {
    return of.get(random.nextInt(of.size()));
  }

  private static String moveMethod(RandomProgram program, Random random) {
    String method = one(program.methods(), random);
    boolean takes = method.contains("Target");
    List<String> ways = new ArrayList<>();
    ways.add(takes ? " --through t" : "");
    ways.add(takes ? " --through t" : " --through static");
    if (program.fields().contains("target")) {
      ways.add(" --through target");
    }
    String delegate =
        one(List.of("", " --delegate none", " --delegate none", " --delegate keep"), random);
    String pass = random.nextInt(8) == 0 ? " --pass owner" : "";
    return "move method Owner#%s --to Target%s%s%s"
        .formatted(method, one(ways, random), delegate, pass);
  }

  /** A field, or what a method gives, as a wider number, or as an object that it is in. */
  private static String changeType(RandomProgram program, Random random) {
    List<String> members = new ArrayList<>(program.methods());
    members.addAll(program.fields());
    members.addAll(program.fields());
    String member = one(members, random);
    List<String> numbers = List.of("long", "long", "double", "Target --back n");
    String type =
        member.equals("items")
            ? one(List.of("java.util.Collection", "Iterable", "Object"), random)
            : member.equals("target")
                ? one(List.of("Base", "Object"), random)
                : one(numbers, random);
    return "change type Owner#%s --to %s".formatted(member, type);
  }

  /** A method or field, to a name that is taken somewhere in most programs. */
  private static String rename(RandomProgram program, Random random) {
    List<String> members = new ArrayList<>(program.methods());
    members.addAll(program.fields());
    List<String> names =
        new ArrayList<>(List.of("other", "t", "x", "a", "b", "target", "toString"));
    program.methods().forEach(method -> names.add(method.replaceAll("\\(.*", "")));
    return "rename Owner#%s --name %s".formatted(one(members, random), one(names, random));
  }

  /** A type of the program, to a name that is free, or taken by a type, a member or a library. */
  private static String renameType(RandomProgram program, Random random) {
    List<String> types = types(program);
    List<String> names = new ArrayList<>(List.of("Fresh", "String", "Object", "List", "T", "a"));
    names.addAll(types);
    return "rename %s --name %s".formatted(one(types, random), one(names, random));
  }

  private static List<String> types(RandomProgram program) {
    List<String> types = new ArrayList<>();
    program.files().values().forEach(text -> types.addAll(declared(text)));
    return types;
  }

  private static List<String> declared(String text) {
    return Pattern.compile("\\b(?:class|interface|enum|record) ([A-Z]\\w*)")
        .matcher(text)
        .results()
        .map(found -> found.group(1))
        .filter(type -> !type.equals("Main"))
        .toList();
  }

  private static String extractClass(RandomProgram program, Random random) {
    if (random.nextInt(5) == 0) {
      List<String> alone = some(program.methods(), 1 + random.nextInt(3), random);
      return "extract class Owner --methods %s --name Part --pass owner --delegate none"
          .formatted(String.join(",", alone));
    }
    List<String> fields = some(program.fields(), 1 + random.nextInt(2), random);
    List<String> methods = new ArrayList<>();
    if (random.nextBoolean()) {
      methods.addAll(some(program.methods(), 1, random));
    }
    if (random.nextInt(3) == 0 && fields.contains("a")) {
      methods.add("a()");
    }
    String words = " --fields " + String.join(",", fields);
    if (!methods.isEmpty()) {
      words += " --methods " + String.join(",", methods);
    }
    String pass = one(List.of("", "", " --pass owner", " --pass values"), random);
    String delegate = one(List.of("", " --delegate none", " --delegate keep"), random);
    return "extract class Owner%s --name Part%s%s".formatted(words, pass, delegate);
  }

  /** Some lines of the body of a method, most of which are whole statements. */
  private static String extractMethod(Map<String, String> files, Random random) {
    List<String> places = new ArrayList<>();
    files.forEach(
        (file, text) -> {
          if (file.startsWith("Owner") || file.startsWith("Main")) {
            bodies(file, List.of(text.split("\n", -1)), random, places);
          }
        });
    String place = one(places, random);
    if (random.nextBoolean()) {
      return "extract method %s --name part --result Parts".formatted(place);
    }
    repeat(files, place, random);
    return "extract method %s --name part --duplicates all --result Parts".formatted(place);
  }

  /** Puts the same lines in a block of their own below, now and then with another number. */
  private static void repeat(Map<String, String> files, String place, Random random) {
    String[] parts = place.substring("src/".length()).split("[:-]");
    List<String> lines = new ArrayList<>(List.of(files.get(parts[0]).split("\n", -1)));
    int first = Integer.parseInt(parts[1]) - 1;
    int last = Integer.parseInt(parts[2]);
    List<String> copy = new ArrayList<>(lines.subList(first, last));
    if (random.nextBoolean()) {
      copy.replaceAll(line -> line.replaceFirst("(?<![\\w.])[2-9](?![\\w.])", "17"));
    }
    copy.add(0, "    {");
    copy.add("    }");
    lines.addAll(last, copy);
    files.put(parts[0], String.join("\n", lines));
  }

  /** Two or all of the values that the methods of a program with clumps take. */
  private static String parameterObject(Map<String, String> files, Random random) {
    String method =
        one(
            List.of(
                "Base#shown(int,String,long)",
                "Face#shown",
                "Low#Low(int,String,long)",
                "Base#Base(int,String,long)",
                "Base#first",
                "Desk#second",
                "Desk#third"),
            random);
    if (method.equals("Base#first")) {
      String text = files.getOrDefault("Base.java", "");
      String list = text.replaceAll("(?s).*  int first\\(([^)]*until[^)]*)\\).*", "$1");
      method += "(" + list.replaceAll(" \\w+(, |$)", ",").replaceAll(",$", "") + ")";
    }
    String parameters = one(List.of("from,name,until", "from,name,until", "name,until"), random);
    return "extract parameter-object %s --parameters %s --name Stay%s"
        .formatted(method, parameters, random.nextInt(2) == 0 ? " --everywhere" : "");
  }

  /** A field to an object that each object has, or to another class. */
  private static String moveField(RandomProgram program, Random random) {
    return "move field Owner#%s --to Target%s"
        .formatted(
            one(program.fields(), random), random.nextInt(9) == 0 ? " --through target" : "");
  }

  /** A member of a class of siblings, which little uses. */
  private static String removeMember(Random random) {
    String type = one(List.of("One", "Two", "Sub", "Three", "Top"), random);
    List<String> members =
        some(
            List.of("step(int)", "total", "said", "help", "held", "LIMIT", "hook", "other", "base"),
            1 + random.nextInt(2),
            random);
    return "remove member %s#%s".formatted(type, String.join(",", members));
  }

  /** A parameter of a program with clumps, which some of its methods do not use. */
  private static String removeParameter(Map<String, String> files, Random random) {
    String text = String.join("", files.values());
    String parameter = one(List.of("loud", "more", "more", "loud", "until", "from"), random);
    String method =
        one(
            List.of("Base#first", "Desk#second", "Desk#third", "Base#shown(int,String,long)"),
            random);
    if (method.equals("Base#first") && text.contains("int first(")) {
      String list =
          files
              .getOrDefault("Base.java", "")
              .replaceAll("(?s).*  int first\\(([^)]*until[^)]*)\\).*", "$1");
      method += "(" + list.replaceAll(" \\w+(, |$)", ",").replaceAll(",$", "") + ")";
    }
    return "remove parameter %s#%s".formatted(method, parameter);
  }

  /** Some of what two classes have in common, or what one has. */
  private static String superclass(Map<String, String> files, Random random) {
    String classes = one(List.of("One,Two", "One,Two", "One,Two", "Two,One", "One", "Two"), random);
    List<String> members =
        some(
            List.of("step", "total", "said", "help", "held", "LIMIT"),
            1 + random.nextInt(3),
            random);
    boolean above = files.getOrDefault("One.java", "").contains("extends");
    return "extract superclass %s --members %s%s"
        .formatted(
            classes,
            String.join(",", members),
            above && random.nextBoolean() ? "" : " --name Between");
  }

  /** Members of a class, to one of those below it. */
  private static String moveDown(Random random) {
    List<String> members =
        some(
            List.of("part(int)", "whole(Object)", "say(Top)", "help", "held", "depth"),
            1 + random.nextInt(3),
            random);
    return "move down Top#%s --to %s"
        .formatted(String.join(",", members), one(List.of("Low", "Low", "Low", "Lower"), random));
  }

  /** The parameter that is handed round, of all methods or of one. */
  private static String moveParameter(Random random) {
    return "move parameter Table#%s%s%s"
        .formatted(
            one(List.of("tide", "tide", "next#tide", "said#tide", "hour"), random),
            random.nextInt(3) == 0 ? " --name kept" : "",
            random.nextInt(3) == 0 ? " --accept object-unknown" : "");
  }

  /** The condition of an if or of a choice, turned or joined. */
  private static String extractQuestion(Map<String, String> files, Random random) {
    List<String> places = places(files, CONDITION);
    return "extract method %s --name isSo --condition %s"
        .formatted(
            places.isEmpty() ? "src/Main.java:1" : one(places, random),
            one(List.of("turned", "turned", "turned", "joined"), random));
  }

  /** What an if or a while asks, or what stands before a question mark. */
  Pattern CONDITION = Pattern.compile("(?:if|while) \\((.*)\\) \\{");

  /** What looks like an expression, or a line that declares a variable with a value. */
  private static String extractField(Map<String, String> files, Random random) {
    String command =
        random.nextBoolean() ? extractVariable(files, random) : inlineVariable(files, random);
    String place = command.replaceAll(" --name.*", "").replaceAll(".* ", "");
    return "extract field %s --name part".formatted(place);
  }

  /** A line that declares a variable with a value. */
  private static String inlineVariable(Map<String, String> files, Random random) {
    List<String> places = new ArrayList<>();
    files.forEach(
        (file, text) -> {
          List<String> lines = List.of(text.split("\n", -1));
          for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).matches("    +(?:final )?[A-Za-z<>\\[\\]]+ \\w+ = .*;")) {
              places.add("src/%s:%d".formatted(file, i + 1));
            }
          }
        });
    return "inline variable " + (places.isEmpty() ? "src/Main.java:1" : one(places, random));
  }

  /** What looks like an expression in a line. */
  private static String extractVariable(Map<String, String> files, Random random) {
    return "extract variable %s --name part%s"
        .formatted(
            one(places(files, EXPRESSION), random), random.nextInt(4) == 0 ? " --only-here" : "");
  }

  /** Where the first group of a pattern stands in lines of bodies. */
  private static List<String> places(Map<String, String> files, Pattern pattern) {
    List<String> places = new ArrayList<>();
    files.forEach(
        (file, text) -> {
          List<String> lines = List.of(text.split("\n", -1));
          for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).startsWith("    ")) {
              int line = i + 1;
              pattern
                  .matcher(lines.get(i))
                  .results()
                  .map(
                      found ->
                          "src/%s:%d:%d-%d:%d"
                              .formatted(file, line, found.start(1) + 1, line, found.end(1)))
                  .forEach(places::add);
            }
          }
        });
    return places;
  }

  /** A call, a sum, a name or what stands in brackets. */
  Pattern EXPRESSION =
      Pattern.compile(
          "(?<=[ (])((?:[\\w.]+\\([^()]*\\))|(?:\\w+ [-+*/<>] \\w+)|(?:\\w+\\+\\+)|(?:[\\w.]+)|(?:\\w+ = [^()]*))(?=[ ;),])");

  /** A method of the owner, everywhere or with what is left of it. */
  private static String inlineMethod(RandomProgram program, Random random) {
    return "inline method Owner#%s%s"
        .formatted(one(program.methods(), random), random.nextInt(3) == 0 ? " --keep" : "");
  }

  /** A method of a long body's class, mostly in one line that calls it. */
  private static String inlineMethod(Map<String, String> files, Random random) {
    List<String> lines = List.of(files.get("Main.java").split("\n", -1));
    String method =
        one(
            List.of(
                "twice", "plus", "note", "bump", "calc", "high", "tell", "seek", "sort", "pick",
                "guard"),
            random);
    List<String> places = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      if (lines.get(i).startsWith("    ") && lines.get(i).contains(method + "(")) {
        places.add(" --at src/Main.java:" + (i + 1));
      }
    }
    boolean all = places.isEmpty() || random.nextInt(4) == 0;
    String type = method.equals("high") ? "Tide" : "Main";
    return "inline method %s#%s%s".formatted(type, method, all ? "" : one(places, random));
  }

  private static void bodies(String file, List<String> lines, Random random, List<String> places) {
    for (int i = 0; i < lines.size(); i++) {
      if (lines.get(i).startsWith("    ") && !lines.get(i).isBlank()) {
        int last = i;
        int more = random.nextInt(4);
        while (more-- > 0 && lines.get(last + 1).startsWith("    ")) {
          last++;
        }
        places.add("src/%s:%d-%d".formatted(file, i + 1, last + 1));
      }
    }
  }

  private static List<String> some(List<String> of, int count, Random random) {
    List<String> left = new ArrayList<>(of);
    List<String> chosen = new ArrayList<>();
    for (int i = 0; i < count && !left.isEmpty(); i++) {
      chosen.add(left.remove(random.nextInt(left.size())));
    }
    return chosen;
  }
}
