package paredown.bench.sites;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.program.Sources;
import paredown.refactor.operation.parameterobject.ExtractParameterObject;

/**
 * Two or three parameters of every method and constructor of a library that takes so many, here or,
 * for one in three, wherever they are passed together.
 */
public final class ParameterObjectSites implements Sites {
  private static final int MOST = 3;

  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    Callers callers = new Callers(facts);
    List<Site> sites = new ArrayList<>();
    for (TypeFact type : facts.types()) {
      for (MethodFact method : type.methods()) {
        List<String> names =
            new ArrayList<>(method.parameters().stream().map(MethodFact.Parameter::name).toList());
        if (names.size() < 2 || !isMain.test(method.range().file())) {
          continue;
        }
        Collections.shuffle(names, random);
        List<String> some = names.subList(0, Math.min(names.size(), 2 + random.nextInt(MOST - 1)));
        boolean everywhere = random.nextInt(3) == 0;
        String simple = type.name().replaceAll(".*[.$]", "");
        String selector =
            method.isConstructor()
                ? simple + method.signature().substring(method.signature().indexOf('('))
                : method.signature();
        Set<String> called = callers.of(type, method.signature());
        sites.add(
            new Site(
                (method.isConstructor() ? "constructor" : "method")
                    + (everywhere ? ", everywhere" : ""),
                new ExtractParameterObject(
                    type.name(), selector, some, "TogetherPassed", everywhere, everywhere),
                new TreeSet<>(called)));
      }
    }
    return sites;
  }
}
