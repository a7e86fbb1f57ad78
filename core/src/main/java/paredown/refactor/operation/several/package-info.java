/** Several: operations of any kind that are done one after the other and make one change. */
package paredown.refactor.operation.several;
