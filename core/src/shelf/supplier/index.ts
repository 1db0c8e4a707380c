export {
  Assortment,
  BLANK_SUPPLIER,
  checkSupplier,
  Offer,
  OFFER_BOUNDS,
  pricePer100Minor,
  SUPPLIER_BOUNDS,
  SupplierInput,
  type Supplier,
} from './supplier.ts';
